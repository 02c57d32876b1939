import { dayAndDate, dayAndTime, timeText, type ClockStyle } from '@ratio/core/calendar';
import { readonly, ref } from 'vue';

const style = ref<ClockStyle>('24 h');
/** How the shop reads its clock: every time that stands somewhere is written so. */
export const clockStyle = readonly(style);
export function readClockAs(now: ClockStyle): void {
  style.value = now;
}

/** @returns "Sat 08:10" in a zone */
export const clockTime = (input: { at: Date; zone: string }): string =>
  dayAndTime({ atMs: input.at.getTime(), zone: input.zone, clock: style.value });

/** @returns "08:10" in a zone */
export const hourTime = (input: { at: Date; zone: string }): string =>
  clockTime(input).split(' ').at(-1)!;

/** @returns "08:10" of today, "Sun 08:10" of another day in a zone */
export const soonTime = (input: { at: Date; now: Date; zone: string }): string =>
  dayName(input) === dayName({ ...input, at: input.now }) ? hourTime(input) : clockTime(input);

/** @returns "Sat 20 Jun 08:10" in a zone */
export const dateAndTime = (input: { at: Date; zone: string }): string =>
  `${dayName(input)} ${hourTime(input)}`;

/** @returns "Sat 20 Jun" in a zone */
export const dayName = (input: { at: Date; zone: string }): string =>
  dayAndDate({ atMs: input.at.getTime(), zone: input.zone });

/** @returns "Sat 20 Jun" of a date like 2026-06-20 */
export const dateName = (date: string): string =>
  dayName({ at: new Date(`${date}T12:00:00Z`), zone: 'UTC' });

/** @returns "in 9 h 20 min", "40 min ago", "now" */
export function fromNow(input: { at: Date; now: Date }): string {
  const minutes = Math.round((input.at.getTime() - input.now.getTime()) / 60_000);
  if (minutes === 0) return 'now';
  return minutes > 0 ? `in ${duration(minutes)}` : `${duration(-minutes)} ago`;
}

/** @returns "9 h 20 min", "40 min", "3 d 4 h" */
export function duration(minutes: number): string {
  const [days, hours, rest] = [
    Math.floor(minutes / 1440),
    Math.floor((minutes % 1440) / 60),
    minutes % 60,
  ];
  if (days > 0) return hours > 0 ? `${days}\u00a0d ${hours}\u00a0h` : `${days}\u00a0d`;
  if (hours === 0) return `${rest}\u00a0min`;
  return rest > 0 ? `${hours}\u00a0h ${rest}\u00a0min` : `${hours}\u00a0h`;
}

/** @returns "2:05" of a time that is left, "−0:40" of one that is over; hours from an hour on */
export function minutesAndSeconds(ms: number): string {
  const s = Math.round(Math.abs(ms) / 1000);
  const sign = ms < 0 && s > 0 ? '−' : '';
  const hours = Math.floor(s / 3600);
  const minutes = Math.floor((s % 3600) / 60);
  return hours > 0
    ? `${sign}${hours}:${two(minutes)}:${two(s % 60)}`
    : `${sign}${minutes}:${two(s % 60)}`;
}

const two = (value: number): string => String(value).padStart(2, '0');

/** @returns "07:30" of hours since midnight, 0…24 */
export function timeOfDay(hours: number): string {
  const minutes = Math.round(hours * 60);
  return timeText({ hours: Math.floor(minutes / 60), minutes: minutes % 60, clock: style.value });
}

/** @returns "07" of an hour on a scale of the day; "7 am" of twelve hours */
export const hourMark = (hour: number): string => timeOfDay(hour % 24).replace(/:00/, '');
