import { expect } from 'chai';
import { weeksOf } from '../../src/log/weeks.ts';

const zone = 'Europe/Lisbon';
const at = (text: string): number => Date.parse(text);
const batch = (atMs: number, pricePerKg: number | null = 30) => ({
  atMs,
  doseG: 800,
  brewG: 2400,
  pricePerKg,
});

describe('weeksOf', () => {
  it('adds up by the week of the shop’s calendar, the latest first', () => {
    // Sunday 23:30 UTC is Monday 00:30 in Lisbon in summer.
    const batches = [
      batch(at('2026-06-07T22:00:00Z')),
      batch(at('2026-06-07T23:30:00Z')),
      batch(at('2026-06-10T08:00:00Z')),
    ];
    const weeks = weeksOf({ batches, discarded: [], zone });
    expect(weeks.map(({ date, batchCount }) => [date, batchCount])).to.deep.equal([
      ['2026-06-08', 2],
      ['2026-06-01', 1],
    ]);
    // 1.6 kg at 30.
    expect(weeks[0]).to.include({ doseG: 1600, brewG: 4800, price: 48 });
  });

  it('counts what was thrown away, with what it had cost', () => {
    const discarded = [{ atMs: at('2026-06-10T20:00:00Z'), massG: 500, pricePerKg: 10 }];
    const [week] = weeksOf({ batches: [], discarded, zone });
    expect(week).to.include({ batchCount: 0, discardedG: 500, discardedPrice: 5 });
  });

  it('knows no cost where one price is not known', () => {
    const batches = [batch(at('2026-06-09T08:00:00Z')), batch(at('2026-06-10T08:00:00Z'), null)];
    expect(weeksOf({ batches, discarded: [], zone })[0]!.price).to.equal(null);
  });
});
