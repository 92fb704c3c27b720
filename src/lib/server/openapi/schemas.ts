import { STAGES, SUBJECT_KINDS } from '$lib/core/foundation/verdicts';
import { VERDICT_CODES } from '$lib/core/bank';
import { ref, type Json } from './parts';

/** What every stored record carries beside its own fields. */
export const RECORDED: Json = {
	type: 'object',
	required: ['id', 'version', 'createdAt', 'updatedAt', 'deletedAt'],
	properties: {
		id: { type: 'integer' },
		version: { type: 'integer' },
		createdAt: { type: 'string', format: 'date-time' },
		updatedAt: { type: 'string', format: 'date-time' },
		deletedAt: { type: ['string', 'null'], format: 'date-time' }
	}
};
export const SUBJECT: Json = {
	type: 'object',
	required: ['kind', 'id', 'label'],
	properties: {
		kind: { type: 'string', enum: [...SUBJECT_KINDS] },
		id: { type: ['integer', 'string'] },
		label: { type: 'string' }
	}
};
export const VERDICT: Json = {
	type: 'object',
	description: 'A judgement as data, with its sentences; the facts of each code are in docs/verdicts.md',
	required: ['code', 'warmth', 'subject', 'members', 'facts', 'title', 'finding', 'doubt', 'rule', 'next'],
	properties: {
		stage: { type: 'string', enum: [...STAGES] },
		code: { type: 'string', enum: [...VERDICT_CODES] },
		warmth: { type: 'string', enum: ['calm', 'open', 'look', 'stop'] },
		subject: ref('Subject'),
		members: { type: 'array', items: ref('Subject') },
		facts: { type: 'object' },
		title: { type: 'string' },
		finding: { type: 'string' },
		doubt: { type: ['string', 'null'] },
		rule: { type: 'string' },
		next: { type: ['string', 'null'] },
		setApart: { type: 'string', description: 'Why a person has set it apart' },
		asks: {
			type: 'string',
			enum: ['nothing', 'after-stop'],
			description: 'What became of its next step: nobody is asked, or a cell that must not be used comes first'
		}
	}
};

export const PROBLEM_SCHEMA: Json = {
	type: 'object',
	description: 'RFC 9457 problem details',
	properties: {
		type: { type: 'string' },
		title: { type: 'string' },
		status: { type: 'integer' },
		detail: { type: 'string' },
		code: { type: 'string' },
		errors: {
			type: 'array',
			items: { type: 'object', properties: { path: { type: 'string' }, message: { type: 'string' } } }
		}
	}
};
