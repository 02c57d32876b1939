import { batchSchedule, type ScheduleEvent } from '../batch/schedule.ts';
import type { Batch } from '../batch/schema.ts';
import { steepHoursOf } from '../batch/steepHours.ts';
import { vesselNameOf } from '../batch/vesselInUse.ts';
import type { DailyHours } from '../shop/dailyHours.ts';

/** One thing to do, as a calendar has it. */
export interface CalendarEntry {
  /** The same for the same step of the same batch, whenever it is. */
  readonly key: string;
  readonly title: string;
  readonly text: string;
  /** ms since 1970 UTC. */
  readonly startMs: number;
  readonly minutes: number;
  /** How long before it somebody is called; null for what needs no hand. */
  readonly alarmMinutes: number | null;
  readonly isCancelled: boolean;
}

const HOUR_MS = 3_600_000;
const ALARM_MINUTES = 10;
/** What each event is called, and how long it takes (common practice). */
const EVENTS: Readonly<Record<ScheduleEvent['kind'], { title: string; minutes: number }>> = {
  start: { title: 'Start the steep', minutes: 15 },
  'top-up': { title: 'Top up', minutes: 5 },
  agitate: { title: 'Stir', minutes: 5 },
  strain: { title: 'Strain', minutes: 40 },
  filter: { title: 'Second pass through paper', minutes: 30 },
  ready: { title: 'Fill the jugs', minutes: 10 },
  'use-by': { title: 'Use up', minutes: 15 },
};

/**
 * A batch as a calendar has it: its steps on the wall clock, moved with its strain, called off where it was
 * given up.
 *
 * @param input.zone of the shop, an IANA name
 */
export function batchCalendar(input: {
  batch: Batch;
  zone: string;
  crew: DailyHours;
}): CalendarEntry[] {
  const { batch, zone, crew } = input;
  const { plan, coffeeName } = batch;
  const startMs = Date.parse(batch.pouredAt ?? batch.startedAt);
  const plannedMs = startMs + steepHoursOf(plan) * HOUR_MS;
  const endMs = Date.parse(batch.strainedAt ?? batch.endsAt);
  const vesselName = vesselNameOf(batch);
  const amounts = `${Math.round(plan.doseG)} g of coffee and ${Math.round(plan.waterG)} g of water, ${plan.grind}`;
  const counts = new Map<string, number>();
  const events = batchSchedule({
    startMs,
    zone,
    // What comes after the strain moves with it.
    steepHours: (endMs - startMs) / HOUR_MS,
    agitationHours: plan.agitationHours.filter((hours) => startMs + hours * HOUR_MS < plannedMs),
    wetting: plan.wetting,
    method: plan.filtration.method,
    crew,
  });
  return events.map(({ kind, atMs, handsOn, crewIn }) => {
    const count = (counts.get(kind) ?? 0) + 1;
    counts.set(kind, count);
    const { title, minutes } = EVENTS[kind];
    return {
      key: kind === 'agitate' ? `${kind}-${count}` : kind,
      title: `${title}: ${coffeeName}, ${vesselName}`,
      text: crewIn || !handsOn ? `${amounts}.` : `${amounts}. Nobody is in then.`,
      startMs: atMs,
      minutes,
      alarmMinutes: handsOn ? ALARM_MINUTES : null,
      isCancelled: batch.status === 'abandoned',
    };
  });
}
