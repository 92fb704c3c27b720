import sharp from 'sharp';
import { attach } from '$lib/server/attachments/attach';
import { cells, type Cell } from '$lib/server/records';
import { recordKind } from '$lib/server/records/registry';
import { changeRecord } from '$lib/server/records/write';
import { ALL_GOOD } from '$lib/core/receive/inspection';
import { make } from './make';

/** A made-up maker’s code: maker 0ME, cell, LFP, model 23. */
const codeOf = (date: string, serial: number) => `0MECB23QUAY014${date}${String(serial).padStart(7, '0')}`;
/** 14 January 2026; and one cell that is a year older. */
const MADE = 'G1E';
const MADE_BEFORE = 'F1E';

/** A photo of a dented case, drawn: nobody’s cell. */
const drawnDent = () =>
	sharp(
		Buffer.from(
			`<svg xmlns="http://www.w3.org/2000/svg" width="900" height="640"><rect width="900" height="640" fill="#6d655d"/><rect x="120" y="90" width="660" height="470" rx="14" fill="#3f6f93"/><rect x="170" y="120" width="120" height="60" rx="6" fill="#c9c3bb"/><rect x="610" y="120" width="120" height="60" rx="6" fill="#c9c3bb"/><ellipse cx="560" cy="400" rx="96" ry="54" fill="#2f5674"/><ellipse cx="548" cy="392" rx="60" ry="30" fill="#264962"/><text x="190" y="300" font-size="54" fill="#dfe8ee" font-family="sans-serif">M230</text></svg>`
		)
	)
		.jpeg({ quality: 80 })
		.toBuffer();

/** A crate as far as it was unpacked: looked at, its codes read, what was promised of it. */
export async function lookAtCrate(own: readonly Cell[], readSoFar: number, at: string): Promise<void> {
	for (const [i, cell] of own.slice(0, readSoFar).entries()) {
		const code = codeOf(i === 8 ? MADE_BEFORE : MADE, 4100 + i);
		const { version } = await cells.get(cell.id);
		await changeRecord(recordKind('cells'), cell.id, { code, version });
		await make('inspections', {
			cellId: cell.id,
			inspectedAt: at,
			...ALL_GOOD,
			terminalKind: 'thread',
			ventKind: 'round',
			...(i === 4 ? { dent: 'bad', thicknessMm: [54.1, 55.2, 54] } : {}),
			...(i === 12 ? { sleeve: 'unsure' } : {})
		});
	}
	await attach(
		{ subjectKind: 'cell', subjectId: own[4]!.id, name: 'dent near the foot.jpg', about: 'dent', takenAt: at },
		'image/jpeg',
		await drawnDent()
	);
}
