/** The last of each key, in the order in which keys first come. @param rows oldest first */
export const latestBy = <Row>(rows: readonly Row[], key: (row: Row) => string): Row[] => [
	...new Map(rows.map((row) => [key(row), row])).values()
];
