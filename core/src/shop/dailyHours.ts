/** When somebody is there, by the wall clock; past midnight where `to` is below `from`. */
export interface DailyHours {
  readonly fromHours: number;
  readonly toHours: number;
}

/** @returns whether a time of day lies inside daily hours */
export function isWithin(hours: number, { fromHours, toHours }: DailyHours): boolean {
  if (fromHours <= toHours) return hours >= fromHours && hours <= toHours;
  return hours >= fromHours || hours <= toHours;
}
