import { Temporal } from 'temporal-polyfill';
import { createForecast } from '../src/day/forecast.ts';
import { PACE_DAYS } from '../src/day/pace.ts';
import { poursByDay } from '../src/day/poursByDay.ts';
import { simulatedShop } from '../test/day/simulatedShop.ts';
import { medianMs } from './timed.ts';

const ZONE = 'Europe/Lisbon';
const NOW_MS = Date.parse('2026-06-13T11:00:00Z');
const SINCE_MS = NOW_MS - PACE_DAYS * 86_400_000;
const JUGS = 20;
const pours = simulatedShop({ seed: 1, from: '2025-06-13', days: 366, dayCv: 0.2 }).filter(
  ({ atMs }) => atMs < NOW_MS,
);

/** The forecast of twenty jugs from a year's pours, each pour looked at. */
function forecast(of: typeof pours): number {
  const made = createForecast({
    days: poursByDay({ pours: of, zone: ZONE, sinceMs: SINCE_MS }),
    zone: ZONE,
    nowMs: NOW_MS,
  })!;
  let sum = 0;
  for (let i = 1; i <= JUGS; i++) sum += made.runOut(2000 * i).atMs ?? 0;
  return sum;
}

/** The same pours counted by day and quarter, each with the date library's own wall clock. */
const countedPlainly = (): number =>
  new Set(
    pours.map(({ atMs }) => {
      const local = Temporal.Instant.fromEpochMilliseconds(Math.floor(atMs)).toZonedDateTimeISO(
        ZONE,
      );
      return `${local.toPlainDate().toString()} ${4 * local.hour + Math.floor(local.minute / 15)}`;
    }),
  ).size;

/** @returns lines: the forecast over a year, its growth from a tenth, beside the plain counting alone */
export function benchForecast(): string[] {
  const tenth = pours.slice(-Math.round(pours.length / 10));
  const wholeMs = medianMs({ run: () => forecast(pours), forMs: 1500 });
  const tenthMs = medianMs({ run: () => forecast(tenth), forMs: 800 });
  const plainMs = medianMs({ run: countedPlainly, forMs: 2000 });
  return [
    `| forecast of ${JUGS} jugs | ms | baseline | its ms | times as fast |`,
    '|---|---|---|---|---|',
    `| from a year, ${pours.length} pours | ${wholeMs.toFixed(1)} | temporal-polyfill, counting alone | ${plainMs.toFixed(0)} | ${(plainMs / wholeMs).toFixed(0)} |`,
    '',
    `From a tenth of it: ${tenthMs.toFixed(1)} ms; ten times the pours take ${(wholeMs / tenthMs).toFixed(1)} times as long.`,
  ];
}
