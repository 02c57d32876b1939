export { instantOf, localDate, localHours, zoned } from './localTime.ts';
export { readTime, type ReadTime } from './readTime.ts';
export { daysLeft, useBy } from './useBy.ts';
export { dayAndTime } from './writeTime.ts';
