/** Where the short names of the imports lead, for the check of the arrows: without this it sees none of them. */
const { resolve } = require('node:path');

module.exports = {
	resolve: {
		alias: { $lib: resolve(__dirname, 'src/lib'), $demo: resolve(__dirname, 'demo') },
		extensions: ['.ts', '.js', '.svelte', '.json']
	}
};
