const toSnake = (name: string) => name.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`);
const toCamel = (name: string) => name.replace(/_([a-z0-9])/g, (_, c: string) => c.toUpperCase());

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
	return Object.fromEntries(
		Object.entries(row)
			.filter(([column]) => !ITS_OWN.has(column))
			.map(([column, value]) => {
				const name = toCamel(column);
				if (value instanceof Date) return [name, value.toISOString()];
				if (jsonColumns.includes(name) && typeof value === 'string') return [name, JSON.parse(value)];
				return [name, value];
			})
	) as Row;
}

/** The column of a camelCase field. */
export const columnOf = toSnake;
/** The camelCase field of a column. */
export const fieldOf = toCamel;
