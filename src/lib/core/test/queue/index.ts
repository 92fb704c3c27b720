export { planQueue, queueSteps, type QueuePlan, type QueueStep } from './plan-queue';
export { QUEUE_KINDS, type QueueId, type QueueInput, type QueueKind } from './queue-input';
export { QUEUE_KIND_NAMES, clockOf, queueForm, queueOf, queueParams, type QueueForm } from './queue-form';
export { soakHours } from './soak';
