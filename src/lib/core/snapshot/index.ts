export { intervalOf, snapshotBounds, type Interval, type Snapshot, type SnapshotBounds } from './snapshot';
