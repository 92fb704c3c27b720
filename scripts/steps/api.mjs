// The running application's API, as scripts ask it.

/** @param address of the application, without /api */
export function apiAt(address) {
	const ask = async (path, options) => {
		const response = await fetch(`${address}/api/v1/${path}`, options);
		const answer = await response.json();
		if (!response.ok) throw new Error(`${path}: ${answer.detail}`);
		return answer;
	};
	const send = (method) => (path, body) =>
		ask(path, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
	return { get: ask, list: async (path) => (await ask(path)).items, post: send('POST'), patch: send('PATCH') };
}
