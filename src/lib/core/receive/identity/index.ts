export { type CellCode, readCellCode } from './cell-code';
export { type CodedCell, judgeCodes } from './judge-codes';
export { type FoundCode, LONGEST_CODE, type PlacedCode, codesToCells, inTrayOrder, sortCodes } from './place-codes';
