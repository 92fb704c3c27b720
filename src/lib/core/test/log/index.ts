export { type RunAnalysis, type RunOptions, type RunSamples, analyseLog, analyseRun } from './analyse-run';
export { cellOfFileName } from './file-names';
export { type LogChannel, splitChannels } from './log-channels';
export { parseLog } from './parse-log';
export { thinCurve } from './thin-curve';
