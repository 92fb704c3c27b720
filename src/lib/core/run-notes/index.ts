export { fitNotes, type NotedRun, type NotesFit, type SpotNote } from './fit-notes';
