export { judgeBodies, type BodyOfCell } from './judge-bodies';
export {
	LOST_A_DAY,
	judgeDelivery,
	type ArrivedCell,
	type DeliveryContext,
	type DeliveryJudgement
} from './judge-delivery';
export { outsideLimits } from './outside-limits';
