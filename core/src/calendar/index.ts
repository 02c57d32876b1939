export { instantOf, localDate, localHours, zoned } from './localTime.ts';
export { daysLeft, useBy } from './useBy.ts';
