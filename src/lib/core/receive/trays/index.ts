export { idleVerdict, lateVerdicts } from './idle';
export { type DeliveryTray, deliveryClaim, deliveryTrays, judgedTrays, stoppedCells } from './trays';
export { waitingForTest } from './waiting-for-test';
