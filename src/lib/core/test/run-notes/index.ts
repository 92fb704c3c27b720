export { beganAt } from './began-at';
export { fitNotes, type NotedRun, type NotesFit, type SpotNote } from './fit-notes';
