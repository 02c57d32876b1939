export {
  acceptLearnedRequest,
  type AcceptLearnedRequest,
  learnedVersionSchema,
  type LearnedVersion,
  logAnswer,
  LOG_PAGE,
  logQuery,
  type LogQuery,
  type LogRow,
  LOG_SORTS,
  type LogSort,
} from './schema.ts';
export { type Week, weekSchema, weeksOf } from './weeks.ts';
