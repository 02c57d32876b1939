export { createForecast, type Forecast, type RunOut } from './forecast.ts';
export { latestStart, type LatestStart } from './latestStart.ts';
export { poursByDay, type Pour } from './poursByDay.ts';
export {
  CHECK_LISTS,
  type CheckList,
  type DayPours,
  dayPoursSchema,
  type DayRow,
  dayRowRequest,
  type DayRowRequest,
  dayRowSchema,
} from './schema.ts';
