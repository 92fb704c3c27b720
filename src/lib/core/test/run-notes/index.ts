export { beganAt } from './began-at';
export { type NotedRun, type NotesFit, type SpotNote, fitNotes } from './fit-notes';
