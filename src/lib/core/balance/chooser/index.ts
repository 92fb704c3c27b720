export { type AtHand, type LivesAt, type MethodPlan, compareMethods } from './compare-methods';
export { HINDRANCE_WORDS, methodWords } from './method-words';
