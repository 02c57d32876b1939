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

describe('everything that is done to a batch', () => {
  /** Kind, minutes from the start, whether it needs hands. */
  const course = (over: Partial<ScheduleInput>) => {
    const input = plan(over);
    return batchSchedule(input)
      .filter(({ kind }) => kind !== 'use-by')
      .map(({ kind, atMs, handsOn }) => [kind, (atMs - input.startMs) / 60_000, handsOn] as const);
  };
  const rows: [
    name: string,
    over: Partial<ScheduleInput>,
    expected: (readonly [string, number, boolean])[],
  ][] = [
    [
      'stirred twice, the later hour told first',
      { steepHours: 10, agitationHours: [6, 1.5] },
      [
        ['start', 0, true],
        ['top-up', 3, true],
        ['agitate', 90, true],
        ['agitate', 360, true],
        ['strain', 600, true],
        ['ready', 640, true],
      ],
    ],
    [
      'poured at once, with a stir at the very end, which is the strain',
      { steepHours: 8, wetting: 'pour', agitationHours: [8, 0.01] },
      [
        ['start', 0, true],
        ['agitate', 0.6, true],
        ['strain', 480, true],
        ['ready', 520, true],
      ],
    ],
    [
      'stirred once at the start needs no top-up',
      { steepHours: 1, wetting: 'stir' },
      [
        ['start', 0, true],
        ['strain', 60, true],
        ['ready', 100, true],
      ],
    ],
    [
      'a paper pass behind the drain',
      { steepHours: 1, wetting: 'pour', method: 'paper' },
      [
        ['start', 0, true],
        ['strain', 60, true],
        ['filter', 100, true],
        ['ready', 130, true],
      ],
    ],
  ];
  for (const [name, over, expected] of rows)
    it(`comes in order: ${name}`, () => {
      expect(course(over)).to.deep.equal(expected);
    });

  // Minutes from the strain to ready, common practice.
  for (const [method, minutes] of [
    ['drain', 40],
    ['paper', 70],
    ['press', 10],
    ['squeeze', 15],
    ['insert', 10],
    ['on-grounds', 5],
  ] as const)
    it(`takes ${minutes} min to strain by ${method}`, () => {
      const events = course({ method });
      const at = (kind: string): number => events.find(([name]) => name === kind)![1];
      expect(at('ready') - at('strain')).to.equal(minutes);
    });

  it('asks for nobody on the day by which it must be used', () => {
    const useBy = batchSchedule(plan()).at(-1)!;
    expect([useBy.kind, useBy.handsOn]).to.deep.equal(['use-by', false]);
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

  it('offers the nearest of each kind, and no other: earlier, later, shorter, longer', () => {
    // By hand, crew from 7 to 20: starting from 11:00 for 16 h strains at 03:00. Earlier by 7 h 45 min
    // nobody is there to start; later by 4 h it strains at 07:00; 8 h shorter at 19:00, ready 19:40;
    // 4 h longer at 07:00.
    const fits = nearestFits({ ...night, notBeforeMs: night.startMs - 24 * HOUR_MS }).map(
      ({ startMs, steepHours }) => [(startMs - night.startMs) / HOUR_MS, steepHours],
    );
    expect(fits).to.deep.include([4, 16]);
    expect(fits).to.deep.include([0, 20]);
    expect(fits).to.deep.include([0, 8]);
    for (const [laterH, steepHours] of fits) {
      // A quarter of an hour, or half an hour of steep, nearer would not do.
      const nearer =
        steepHours === 16
          ? { startMs: night.startMs + (laterH! - 0.25 * Math.sign(laterH!)) * HOUR_MS, steepHours }
          : { startMs: night.startMs, steepHours: steepHours! - 0.5 * Math.sign(steepHours! - 16) };
      expect(isManned(batchSchedule({ ...night, ...nearer }))).to.equal(false);
    }
  });

  it('offers a start at the very moment from which one may begin', () => {
    const later = night.startMs + 4 * HOUR_MS;
    const fits = nearestFits({ ...night, notBeforeMs: later });
    expect(fits.some(({ startMs, steepHours }) => startMs === later && steepHours === 16)).to.equal(
      true,
    );
  });

  it('offers no steep of no length', () => {
    const short = plan({ local: '2026-06-12T19:45', steepHours: 4 });
    for (const { steepHours } of nearestFits({ ...short, notBeforeMs: short.startMs }))
      expect(steepHours).to.be.above(0);
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
