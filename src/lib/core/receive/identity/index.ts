export {
	CODE_LENGTH,
	plainCode,
	readCellCode,
	type CellCode,
	type CellCodeFields,
	type CodeWarning
} from './cell-code';
export { judgeCodes, type CodeContext, type CodedCell } from './judge-codes';
export { LONGEST_CODE, codesToCells, inTrayOrder, sortCodes, type FoundCode, type PlacedCode } from './place-codes';
