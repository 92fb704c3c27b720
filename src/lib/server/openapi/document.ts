import { computePaths } from './compute-paths';
import { inputSchemas } from './input-schemas';
import { livePaths } from './live-paths';
import { PROBLEMS, type Json } from './parts';
import { OPEN_KINDS } from '../records/registry';
import { changeName, recordPaths } from './record-paths';
import { RESULTS } from './results';
import { PROBLEM_SCHEMA, RECORDED, SUBJECT, VERDICT } from './schemas';

/** A change takes any of the fields a new record is made from, and a stored one answers with them. */
const changeSchemas = (inputs: Record<string, Json>): Json =>
	Object.fromEntries(
		OPEN_KINDS.flatMap(({ createInput, changeInput }) => [createInput, changeInput])
			.filter((input) => input !== null)
			.map((input) => [changeName(input), { ...inputs[input.name], required: [] }])
	);

/** The API as OpenAPI 3.1, schemas made from the class-validator inputs. */
export const openApiDocument = (version: string): Json => ({
	openapi: '3.1.0',
	info: {
		title: 'Kind Ember',
		version,
		description: 'Units are in the names: Ah, V, A, mΩ, s, °C. Current is positive into the battery. Missing is null.'
	},
	paths: { ...computePaths(), ...livePaths(), ...recordPaths() },
	components: {
		responses: PROBLEMS,
		schemas: {
			...inputSchemas(),
			...changeSchemas(inputSchemas()),
			Problem: PROBLEM_SCHEMA,
			Recorded: RECORDED,
			Subject: SUBJECT,
			Verdict: VERDICT,
			...RESULTS
		}
	}
});
