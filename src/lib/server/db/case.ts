const toSnake = (name: string) => name.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`);
/** Columns are few and rows are many: each name is worked out once. */
const camels = new Map<string, string>();
function toCamel(name: string): string {
	let camel = camels.get(name);
	if (camel === undefined) {
		camel = name.replace(/_([a-z0-9])/g, (_, c: string) => c.toUpperCase());
		camels.set(name, camel);
	}
	return camel;
}

/** A record's fields named as columns. Undefined fields are left out; objects and arrays become JSON text. */
export function toColumns(fields: Record<string, unknown>): Record<string, unknown> {
	return Object.fromEntries(
		Object.entries(fields)
			.filter(([, value]) => value !== undefined)
			.map(([name, value]) => [
				toSnake(name),
				typeof value === 'object' && value !== null && !(value instanceof Date) ? JSON.stringify(value) : value
			])
	);
}

/** Columns the database derives for its own unique keys. */
const ITS_OWN = new Set(['live', 'open_cell_id']);

/** A database row as a record: camelCase names, dates as ISO text, JSON columns parsed. */
export function fromColumns<Row>(row: Record<string, unknown>, jsonColumns: readonly string[]): Row {
	const record: Record<string, unknown> = {};
	for (const column in row) {
		if (ITS_OWN.has(column)) continue;
		const name = toCamel(column);
		const value = row[column];
		if (value instanceof Date) record[name] = value.toISOString();
		else if (typeof value === 'string' && jsonColumns.includes(name)) record[name] = JSON.parse(value);
		else record[name] = value;
	}
	return record as Row;
}

/** The column of a camelCase field. */
export const columnOf = toSnake;
/** The camelCase field of a column. */
export const fieldOf = toCamel;
