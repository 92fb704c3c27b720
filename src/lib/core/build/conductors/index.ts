export { ampacityA, areaOfAwgMm2, conductorOf, copperOhm, shortCircuitA } from './conductors';
export { precharge } from './precharge';
export { screwFit } from './screws';
export { currentShares, leadsToAddOhm } from './sharing';
export { type TightenedJoint, torqueVerdicts, usualTorque } from './torque';
