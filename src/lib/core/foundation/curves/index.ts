export { type MonotoneCurve, monotoneCurve } from './pchip';
export { type UniformCubic, cubicAt, cubicIntegral, cubicSlopeAt, uniformCubic } from './uniform-cubic';
