import { expect } from 'chai';
import fc from 'fast-check';
import { batchSchedule, isManned } from '../../src/batch/schedule.ts';
import { instantOf } from '../../src/calendar/localTime.ts';
import { latestStart } from '../../src/day/latestStart.ts';

const zone = 'Europe/Lisbon';
const at = (local: string): number => instantOf({ local, zone })!;
const QUARTER_MS = 15 * 60_000;
const plan = {
  zone,
  steepHours: 18,
  agitationHours: [],
  wetting: 'stages',
  method: 'drain',
  crew: { fromHours: 6, toHours: 21 },
} as const;

describe('latestStart', () => {
  // By hand: 40 min of draining before 13:04, 18 h before that is 18:24 the day before; the quarter before.
  it('counts back from when it must be ready', () => {
    const found = latestStart({
      ...plan,
      readyByMs: at('2026-06-13T13:04'),
      nowMs: at('2026-06-13T07:40'),
    })!;
    expect(found.startMs).to.equal(at('2026-06-12T18:15'));
    expect(found.readyMs).to.equal(at('2026-06-13T12:55'));
    expect(found.isInTime).to.equal(false);
  });

  it('goes further back where nobody would be in', () => {
    // Ready by 09:00 would start at 14:15; 6 h on the counter would have to start at 02:15: the evening before.
    const found = latestStart({
      ...plan,
      steepHours: 6,
      readyByMs: at('2026-06-14T09:00'),
      nowMs: at('2026-06-13T07:40'),
    });
    // No start that ends between 06:00 and 08:20 is inside the crew's hours: it ends the evening before.
    expect(found?.startMs).to.equal(at('2026-06-13T14:15'));
    expect(found?.readyMs).to.equal(at('2026-06-13T20:55'));
  });

  it('says so where the hours of the crew never fit', () => {
    expect(
      latestStart({
        ...plan,
        steepHours: 18,
        crew: { fromHours: 8, toHours: 9 },
        readyByMs: at('2026-06-14T09:00'),
        nowMs: at('2026-06-13T07:40'),
      }),
    ).to.equal(null);
  });

  // Both changes of the clock of 2026: 29 March and 25 October.
  for (const day of ['2026-03-29', '2026-10-25', '2026-03-28', '2026-10-24'])
    it(`agrees with the schedule's own clock around ${day}: no later quarter of an hour does`, () => {
      fc.assert(
        fc.property(
          fc.integer({ min: 0, max: 191 }),
          fc.double({ min: 4, max: 24, noNaN: true }),
          fc.constantFrom('drain' as const, 'paper' as const, 'press' as const),
          (quarter, steepHours, method) => {
            const readyByMs = at(`${day}T00:00`) + quarter * QUARTER_MS;
            const input = { ...plan, steepHours, method, readyByMs, nowMs: 0 };
            const found = latestStart(input);
            const ready = (startMs: number): number =>
              batchSchedule({ ...input, startMs }).find(({ kind }) => kind === 'ready')!.atMs;
            const works = (startMs: number): boolean =>
              ready(startMs) <= readyByMs && isManned(batchSchedule({ ...input, startMs }));
            const from = found?.startMs ?? readyByMs - 72 * 3_600_000;
            if (found) {
              expect(works(found.startMs)).to.equal(true);
              expect(found.readyMs).to.equal(ready(found.startMs));
            }
            if (found)
              for (let later = from + QUARTER_MS; later <= readyByMs; later += QUARTER_MS)
                expect(works(later)).to.equal(false);
          },
        ),
        { numRuns: 40 },
      );
    });
});
