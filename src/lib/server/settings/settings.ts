/** What was chosen once for the whole application. */
export { changeSettings, readSettings } from '../records/settings/settings';
