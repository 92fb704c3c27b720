import { banks, cells, notedRuns, storageTests, type Bank } from '../records';
import { database } from '../db/connection';
import { banksOfCells } from '../records/touched-banks';

/** A moment at which something that nobody follows by wire wants a person. */
export interface Due {
	/** The same as long as it is the same moment of the same thing. */
	key: string;
	bankId: number;
	bankName: string;
	at: string;
	what: string;
	/** What is to be done. */
	message: string;
	href: string;
}

type Moment = Omit<Due, 'bankName' | 'key' | 'bankId'>;

/** A cell's moment, told under each bank it is in. */
async function ofCell(cellId: number, key: string, moment: (label: string, bank: Bank) => Moment): Promise<Due[]> {
	const [cell, ids] = await Promise.all([cells.find(cellId), banksOfCells([cellId], database())]);
	const bank = ids.length ? await banks.find(ids[0]!) : null;
	if (!cell || !bank || bank.rehearsal) return [];
	const told = moment(cell.label, bank);
	return [{ ...told, key: `${key}@${told.at}`, bankId: bank.id, bankName: bank.name }];
}

/** All that is due or will be, first first: runs by notes, cells that stand for a test of self-discharge. */
export async function dueMoments(): Promise<Due[]> {
	const [noted, standing] = await Promise.all([notedRuns.all({}), storageTests.all({})]);
	const found = await Promise.all([
		...noted
			.filter((n) => n.lookAgainAt !== null && n.runId === null)
			.map((n) =>
				ofCell(n.cellId, `noted-run-${n.id}`, (label, bank) => ({
					at: n.lookAgainAt!,
					what: `Run of ${label} by notes, ${bank.name}`,
					message: 'Read it again now, and write down volts and the time: it may end soon.',
					href: `/banks/${bank.id}/test/notes`
				}))
			),
		...standing
			.filter((s) => s.refilledAt === null)
			.map((s) =>
				ofCell(s.cellId, `storage-test-${s.id}`, (label, bank) => ({
					at: s.dueOn,
					what: `${label} has stood long enough, ${bank.name}`,
					message: 'Charge it again to the same volts and the same tail, and write down the Ah.',
					href: `/cells/${s.cellId}`
				}))
			)
	]);
	return found.flat().sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
}
