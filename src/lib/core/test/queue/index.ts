export { type QueuePlan, type QueueStep, planQueue, queueSteps } from './plan-queue';
export { QUEUE_KIND_NAMES, type QueueForm, queueForm, queueOf, queueParams } from './queue-form';
export type { QueueId, QueueInput } from './queue-input';
export { soakHours } from './soak';
