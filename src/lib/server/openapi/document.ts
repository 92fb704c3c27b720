import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { computePaths } from './compute-paths';
import { livePaths } from './live-paths';
import type { Json } from './parts';
import { recordPaths } from './record-paths';
import { PROBLEM_SCHEMA, RECORDED, SUBJECT, VERDICT } from './schemas';

/** The API as OpenAPI 3.1, schemas made from the class-validator inputs. */
export function openApiDocument(version: string): Json {
	const schemas = validationMetadatasToSchemas({
		classTransformerMetadataStorage: defaultMetadataStorage,
		refPointerPrefix: '#/components/schemas/'
	});
	return {
		openapi: '3.1.0',
		info: {
			title: 'Kind Ember',
			version,
			description: 'Units are in the names: Ah, V, A, mΩ, s, °C. Current is positive into the battery. Missing is null.'
		},
		paths: { ...computePaths(), ...livePaths(), ...recordPaths() },
		components: {
			schemas: { ...schemas, Problem: PROBLEM_SCHEMA, Recorded: RECORDED, Subject: SUBJECT, Verdict: VERDICT }
		}
	};
}
