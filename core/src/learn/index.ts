export { compareBatches, type Compared, type Comparison, type Difference } from './compare.ts';
export { fitLog, type Fit, type Outlier } from './fit.ts';
export { measureNext, type Measurement } from './measureNext.ts';
export { nextTime, type NextTime } from './nextTime.ts';
export { observationOf, type Observation } from './observation.ts';
