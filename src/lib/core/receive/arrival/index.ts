export { judgeBodies } from './judge-bodies';
export { type ArrivedCell, type DeliveryContext, judgeDelivery } from './judge-delivery';
export { outsideLimits } from './outside-limits';
