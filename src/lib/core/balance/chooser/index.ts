export { type AtHand, type LivesAt, METHODS, type Method, type MethodPlan, compareMethods } from './compare-methods';
export { HINDRANCE_WORDS, methodWords } from './method-words';
