export {
  acceptLearnedRequest,
  type AcceptLearnedRequest,
  learnedVersionSchema,
  type LearnedVersion,
  type LogAnswer,
  logAnswer,
  logQuery,
  type LogQuery,
  type LogRow,
} from './schema.ts';
export { LOG_PAGE, LOG_SORTS, type LogSort } from './logPage.ts';
export { type Week, weekSchema, weeksOf } from './weeks.ts';
export {
  matchColumns,
  OLD_COLUMN_NAMES,
  OLD_COLUMNS,
  type ColumnMatch,
  type OldColumn,
  type OldUnits,
} from './oldColumns.ts';
export { oldBatchSchema, readOldRow, type OldBatch, type RowProblem } from './oldLog.ts';
export { batchFacts, batchText } from './batchText.ts';

export { otherWays, type OtherWay } from './otherWays.ts';
