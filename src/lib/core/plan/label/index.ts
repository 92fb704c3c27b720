export { type Label, type LabelCheck, checkLabelFigures } from './label-check';
