export {
  acceptLearnedRequest,
  type AcceptLearnedRequest,
  learnedVersionSchema,
  type LearnedVersion,
  type LogAnswer,
  logAnswer,
  LOG_PAGE,
  logQuery,
  type LogQuery,
  type LogRow,
  LOG_SORTS,
  type LogSort,
} from './schema.ts';
export { type Week, weekSchema, weeksOf } from './weeks.ts';
export {
  matchColumns,
  OLD_COLUMN_NAMES,
  OLD_COLUMNS,
  oldBatchSchema,
  readOldRow,
  type ColumnMatch,
  type OldBatch,
  type OldColumn,
  type OldUnits,
  type RowProblem,
} from './oldLog.ts';
export { batchFacts, batchText } from './batchText.ts';

export { otherWays, type OtherWay } from './otherWays.ts';
