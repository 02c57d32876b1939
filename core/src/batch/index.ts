export { CLEAN_STEP, filterUse, isUncleaned, leavesToClean, uncleanedAfter } from './cleaning.ts';
export { NOTHING_NOTED } from './nothingNoted.ts';
export { countedObservations } from './countedObservations.ts';
export { type Draft, draftSchema, saveDraftRequest, type SaveDraftRequest } from './draftSchema.ts';
export { type Explained, explainPlan } from './explain.ts';
export { measuredSteep, pouredAt } from './measuredSteep.ts';
export { brewSetting, planInput, scalePlan, scoopOf } from './plan.ts';
export { pricePerKgOfBrew } from './pricePerKgOfBrew.ts';
export { type PlanOutcome, predictBatch, predictPlan } from './predict.ts';
export { predictBatchRequest, predictBatchResponse } from './predictSchema.ts';
export { MOST_SAMPLES, planOfSample, sampleSet } from './samples.ts';
export { type SampleSet, sampleSetSchema } from './samplesSchema.ts';
export { SCORES } from './scores.ts';
export {
  batchSchedule,
  crewWindows,
  isManned,
  nearestFits,
  type ScheduleEvent,
  type ScheduleFit,
  startForReadyMs,
} from './schedule.ts';
export {
  type Batch,
  type ObservationRow,
  type BatchInFull,
  batchInFullSchema,
  observationRowSchema,
  batchSchema,
  batchesQuery,
  MOST_LISTED,
  noteRequest,
  type Observation,
  type NoteRequest,
  type Plan,
  planSchema,
  type Prediction,
  type SplitBatchRequest,
  splitBatchRequest,
  startBatchRequest,
  type StartBatchRequest,
  strainBatchRequest,
  type StrainBatchRequest,
} from './schema.ts';
export type { ProbeHistory } from './places.ts';
export { type Mend, runningSteep, type RunningSteep } from './running.ts';
export { startedBatch, vesselOf } from './start.ts';
export { steepHoursOf } from './steepHours.ts';
export { inputG } from './inputG.ts';
export { brewAt, predictStrain, strainTiming, type StrainTiming } from './strain.ts';
export { roundedToBench, roundedToMeasures, splitBatch } from './split.ts';
export { usualPlan } from './usualPlan.ts';
export { vesselIdOf, vesselInUse, vesselNameOf } from './vesselInUse.ts';
export { strengthByDay } from './strengthByDay.ts';
