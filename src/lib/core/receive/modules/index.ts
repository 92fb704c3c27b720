export { judgeModules, lowestHidden, type WholeModule } from './judge-modules';
export { cellsPerModule, makeOf, moduleCellLabels, placeInModule, positionsOfModule, type ModuleMake } from './make';
