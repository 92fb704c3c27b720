export { snapshotBounds, type Snapshot, type SnapshotBounds } from './snapshot';
export { whatWasRead, type Read } from './what-was-read';
