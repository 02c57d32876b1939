export { type Progress, progressOf, type StepState } from './progress.ts';
export { type Step, type StepRow, stepsOf, tableOf } from './stepsOf.ts';
export type { StepNote } from './templates.ts';
