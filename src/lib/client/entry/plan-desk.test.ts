import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('../tabs/look-again', () => ({ lookAgain: async () => undefined }));
vi.mock('./announce', () => ({
	attempt: async (work: () => Promise<unknown>) =>
		work().then(
			() => true,
			() => false
		)
}));
/** A server with one plan that somebody else may have changed. */
const server = { id: 7, version: 1, bankId: 3, cellPrice: 70, bmsPrice: null as number | null };
vi.mock('../api/api', () => {
	class ApiProblem extends Error {
		constructor(readonly status: number) {
			super('conflict');
		}
	}
	return {
		ApiProblem,
		api: {
			get: async () => ({ items: [{ ...server }] }),
			patch: async (_: string, body: Partial<typeof server>) => {
				if (body.version !== server.version) throw new ApiProblem(409);
				Object.assign(server, body, { version: server.version + 1 });
				return { ...server };
			}
		}
	};
});

const { PlanDesk } = await import('./plan-desk.svelte');
const desk = () => new PlanDesk(3, { ...server } as never);
const settled = () => new Promise((done) => setTimeout(done, 20));

describe('a plan two tabs work at', () => {
	beforeEach(() => Object.assign(server, { version: 1, cellPrice: 70, bmsPrice: null }));
	it('takes both changes when they are of other fields', async () => {
		const own = desk();
		Object.assign(server, { version: 2, bmsPrice: 99 });
		own.change({ cellPrice: 71 });
		await settled();
		expect(server).toMatchObject({ cellPrice: 71, bmsPrice: 99, version: 3 });
	});
	it('does not write over what the other has made of the same field', async () => {
		const own = desk();
		Object.assign(server, { version: 2, cellPrice: 64 });
		own.change({ cellPrice: 71 });
		await settled();
		expect(server).toMatchObject({ cellPrice: 64, version: 2 });
	});
	it('goes on from what it has written', async () => {
		const own = desk();
		Object.assign(server, { version: 2, bmsPrice: 99 });
		own.change({ cellPrice: 71 });
		own.change({ cellPrice: 72 });
		await settled();
		expect(server).toMatchObject({ cellPrice: 72, bmsPrice: 99, version: 4 });
	});
});
