import { expect } from 'chai';
import { startedBatch } from '../../src/batch/start.ts';
import type { Batch } from '../../src/batch/schema.ts';
import { jarOf } from '../../src/brew/vessel.ts';
import { USUAL_COFFEES } from '../../src/coffee/usual.ts';
import { batchCalendar } from '../../src/day/batchCalendar.ts';
import { usualPlan } from '../usualPlan.ts';

const zone = 'Europe/Lisbon';
const plan = usualPlan({ agitationHours: [2, 6] });
const { batch } = startedBatch({
  plan,
  coffee: USUAL_COFFEES[0]!,
  vessel: jarOf({ id: 'jar', version: 1, name: 'Tall jar', brimMl: 6100 }),
  startedAt: new Date('2026-06-12T13:00:00.000Z'),
});
const entriesOf = (changed: Partial<Batch> = {}) =>
  batchCalendar({
    batch: { ...batch, id: 'a', version: 1, ...changed },
    zone,
    crew: { fromHours: 6, toHours: 21 },
  });
const keyed = (changed: Partial<Batch> = {}) =>
  Object.fromEntries(entriesOf(changed).map((entry) => [entry.key, entry]));

describe('batchCalendar', () => {
  it('has every step under a name of its own', () => {
    const keys = entriesOf().map(({ key }) => key);
    expect(keys).to.deep.equal([
      'start',
      'top-up',
      'agitate-1',
      'agitate-2',
      'strain',
      'ready',
      'use-by',
    ]);
  });

  // By hand: 13:00 UTC and 18 h is 07:00 UTC, 08:00 at the shop; 40 min of draining after that.
  it('puts the strain where the steep ends, and what comes after behind it', () => {
    const { strain, ready } = keyed();
    expect(new Date(strain!.startMs).toISOString()).to.equal('2026-06-13T07:00:00.000Z');
    expect(new Date(ready!.startMs).toISOString()).to.equal('2026-06-13T07:40:00.000Z');
    expect(strain!.alarmMinutes).to.equal(10);
  });

  it('follows a strain that was moved, and what it was strained at in the end', () => {
    const later = keyed({ endsAt: '2026-06-13T09:30:00.000Z' });
    expect(new Date(later['strain']!.startMs).toISOString()).to.equal('2026-06-13T09:30:00.000Z');
    expect(later['agitate-2']!.startMs).to.equal(keyed()['agitate-2']!.startMs);
    const done = keyed({ status: 'strained', strainedAt: '2026-06-13T07:20:00.000Z' });
    expect(new Date(done['strain']!.startMs).toISOString()).to.equal('2026-06-13T07:20:00.000Z');
  });

  it('calls off what was given up', () => {
    expect(entriesOf({ status: 'abandoned' }).every(({ isCancelled }) => isCancelled)).to.equal(
      true,
    );
    expect(entriesOf().some(({ isCancelled }) => isCancelled)).to.equal(false);
  });

  it('rings for what needs a hand, and says where nobody is in', () => {
    const { 'use-by': useBy, strain } = keyed({ endsAt: '2026-06-13T02:00:00.000Z' });
    expect(useBy!.alarmMinutes).to.equal(null);
    expect(strain!.text).to.contain('Nobody is in then');
    expect(keyed()['strain']!.text).to.not.contain('Nobody');
  });
});
