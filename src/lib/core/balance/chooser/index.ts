export {
	LIVES_AT,
	METHODS,
	compareMethods,
	type AtHand,
	type Hindrance,
	type LivesAt,
	type Method,
	type MethodPlan
} from './compare-methods';
export { methodWords, HINDRANCE_WORDS } from './method-words';
