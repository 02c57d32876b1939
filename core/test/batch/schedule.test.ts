import { expect } from 'chai';
import fc from 'fast-check';
import {
  batchSchedule,
  crewWindows,
  isManned,
  nearestFits,
  startForReadyMs,
  type ScheduleInput,
} from '../../src/batch/schedule.ts';
import { isWithin } from '../../src/shop/dailyHours.ts';
import { instantOf, localHours, zoned } from '../../src/calendar/localTime.ts';

const HOUR_MS = 3_600_000;

const plan = (over: Partial<ScheduleInput> & { local?: string } = {}): ScheduleInput => {
  const { local = '2026-06-12T16:00', ...rest } = over;
  const zone = rest.zone ?? 'Europe/Lisbon';
  return {
    startMs: instantOf({ local, zone })!,
    zone,
    steepHours: 16,
    agitationHours: [],
    wetting: 'stages',
    method: 'drain',
    crew: { fromHours: 7, toHours: 20 },
    ...rest,
  };
};
const wall = (atMs: number, zone: string): string =>
  zoned({ atMs, zone }).toPlainDateTime().toString().slice(0, 16);
const at = (input: ScheduleInput, kind: string): string =>
  wall(batchSchedule(input).find((event) => event.kind === kind)!.atMs, input.zone);

describe('batchSchedule', () => {
  it('puts a plan on the wall clock', () => {
    const input = plan({ method: 'paper' });
    expect(at(input, 'top-up')).to.equal('2026-06-12T16:03');
    expect(at(input, 'strain')).to.equal('2026-06-13T08:00');
    expect(at(input, 'filter')).to.equal('2026-06-13T08:40');
    expect(at(input, 'ready')).to.equal('2026-06-13T09:10');
    // Seven days counting the day of making (FDA Food Code 3-501.17).
    expect(at(input, 'use-by')).to.equal('2026-06-19T09:10');
  });

  // Both nights of 2026 in two zones: a steep lasts its hours by the stopwatch.
  const nights: [name: string, zone: string, local: string, strain: string, useBy: string][] = [
    [
      'spring forward in Lisbon',
      'Europe/Lisbon',
      '2026-03-28T16:00',
      '2026-03-29T09:00',
      '2026-04-04T09:40',
    ],
    [
      'fall back in Lisbon',
      'Europe/Lisbon',
      '2026-10-24T16:00',
      '2026-10-25T07:00',
      '2026-10-31T07:40',
    ],
    [
      'spring forward in New York',
      'America/New_York',
      '2026-03-07T16:00',
      '2026-03-08T09:00',
      '2026-03-14T09:40',
    ],
    [
      'fall back in New York',
      'America/New_York',
      '2026-10-31T16:00',
      '2026-11-01T07:00',
      '2026-11-07T07:40',
    ],
  ];
  for (const [name, zone, local, strain, useBy] of nights)
    it(`keeps 16 hours through ${name}, and the use-by on its wall-clock time`, () => {
      const input = plan({ zone, local });
      expect(at(input, 'strain')).to.equal(strain);
      expect(at(input, 'use-by')).to.equal(useBy);
      const strainMs = batchSchedule(input).find(({ kind }) => kind === 'strain')!.atMs;
      expect(strainMs - input.startMs).to.equal(16 * HOUR_MS);
      const readyMs = instantOf({ local: useBy, zone })!;
      expect(zoned({ atMs: readyMs, zone }).subtract({ days: 6 }).epochMilliseconds).to.equal(
        strainMs + 40 * 60_000,
      );
    });

  it('works backwards from ready-by, through a clock change too', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: Date.UTC(2026, 2, 1), max: Date.UTC(2026, 11, 1) }),
        fc.integer({ min: 8, max: 26 }),
        fc.constantFrom('drain' as const, 'paper' as const, 'press' as const),
        (readyMs, steepHours, method) => {
          const startMs = startForReadyMs({ readyMs, steepHours, method });
          const ready = batchSchedule(plan({ startMs, steepHours, method })).find(
            ({ kind }) => kind === 'ready',
          )!;
          expect(ready.atMs).to.equal(readyMs);
        },
      ),
    );
  });

  it('leaves out agitations after the end of the steep', () => {
    const kinds = batchSchedule(plan({ agitationHours: [2, 30] })).map(({ kind }) => kind);
    expect(kinds.filter((kind) => kind === 'agitate')).to.have.length(1);
  });
});

describe('nearestFits', () => {
  // Strains at 03:00, when nobody is there.
  const night = plan({ local: '2026-06-12T11:00' });

  it('offers the nearest starts and lengths that work, and they do', () => {
    const fits = nearestFits({ ...night, notBeforeMs: night.startMs - 24 * HOUR_MS });
    expect(fits.length).to.be.at.least(2);
    for (const fit of fits) expect(isManned(batchSchedule({ ...night, ...fit }))).to.equal(true);
    const later = fits.find(({ startMs }) => startMs > night.startMs)!;
    expect(wall(later.startMs, night.zone)).to.equal('2026-06-12T15:00');
    const longer = fits.find(({ steepHours }) => steepHours > 16)!;
    expect(longer.steepHours).to.equal(20);
  });

  it('offers no start in the past', () => {
    const fits = nearestFits({ ...night, notBeforeMs: night.startMs });
    expect(fits.every(({ startMs }) => startMs >= night.startMs)).to.equal(true);
  });

  it('offers nothing where the plan works', () => {
    expect(nearestFits({ ...plan(), notBeforeMs: 0 })).to.deep.equal([]);
  });
});

describe('crew hours', () => {
  it('may run past midnight', () => {
    const late = { fromHours: 18, toHours: 2 };
    expect([17, 19, 1, 3].map((hours) => isWithin(hours, late))).to.deep.equal([
      false,
      true,
      true,
      false,
    ]);
  });

  it('are windows in which a steep may end', () => {
    const { startMs, zone, crew } = plan({ local: '2026-06-12T16:00' });
    expect(crewWindows({ startMs, zone, crew, horizonHours: 30 })).to.deep.equal([
      { fromHours: 0, toHours: 4 },
      { fromHours: 15, toHours: 28 },
    ]);
  });
});

describe('localHours', () => {
  it('follows a zone of half hours', () => {
    expect(localHours({ atMs: Date.UTC(2026, 5, 13, 0, 0), zone: 'Asia/Kolkata' })).to.equal(5.5);
  });

  it('moves a skipped wall-clock time on, and refuses what is no time', () => {
    const zone = 'Europe/Lisbon';
    expect(wall(instantOf({ local: '2026-03-29T01:30', zone })!, zone)).to.equal(
      '2026-03-29T02:30',
    );
    expect(instantOf({ local: 'Saturday', zone })).to.equal(null);
  });
});
