export { batchCalendar, type CalendarEntry } from './batchCalendar.ts';
export { CHECK_LISTS, type CheckList } from './checkLists.ts';
export { createForecast, type Forecast, type RunOut } from './forecast.ts';
export { helpsOf, type Help } from './helps.ts';
export { latestStart, type LatestStart } from './latestStart.ts';
export { nextBatch, type NextBatch } from './nextBatch.ts';
export { PACE_DAYS } from './pace.ts';
export { poursByDay } from './poursByDay.ts';
export { poursOf } from './poursOf.ts';
export {
  dateSchema,
  type DayPours,
  dayPoursSchema,
  type DayRow,
  dayRowRequest,
  type DayRowRequest,
  dayRowSchema,
} from './schema.ts';
export { lastsUntil } from './supply.ts';
