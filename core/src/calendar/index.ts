export { dateAfter, instantOf, localDate, localHours, wallMs, zoned } from './localTime.ts';
export { readTime, type ReadTime } from './readTime.ts';
export { daysLeft, useBy } from './useBy.ts';
export { CLOCKS, type ClockStyle, dayAndDate, dayAndTime, timeText } from './writeTime.ts';
export { zoneTransitions, type ZoneTransition } from './zoneTransitions.ts';
