import { expect } from 'chai';
import { instantOf } from '../../src/calendar/localTime.ts';
import { createForecast } from '../../src/day/forecast.ts';
import { poursByDay, type Pour } from '../../src/day/poursByDay.ts';
import { simulatedShop } from './simulatedShop.ts';

const zone = 'Europe/Lisbon';
const at = (local: string): number => instantOf({ local, zone })!;
const FROM = '2026-04-13';

/** When a jug is really empty, by the pours that were made. */
function trulyEmptyMs(pours: readonly Pour[], nowMs: number, onHandG: number): number {
  let leftG = onHandG;
  for (const { atMs, massG } of pours) {
    if (atMs < nowMs) continue;
    leftG -= massG;
    if (leftG <= 0) return atMs;
  }
  return Infinity;
}

const forecastOf = (pours: readonly Pour[], nowMs: number) =>
  createForecast({
    days: poursByDay({ pours: pours.filter(({ atMs }) => atMs < nowMs), zone }),
    zone,
    nowMs,
  });

describe('createForecast', () => {
  // Against made-up shops whose demand is known: a range of 90 of 100 holds 85 to 95 of them.
  for (const { name, dayCv, time, onHandG } of [
    {
      name: 'a jug that lasts some hours, before opening',
      dayCv: 0.2,
      time: '07:00',
      onHandG: 6000,
    },
    { name: 'a jug that lasts some hours, at noon', dayCv: 0.2, time: '12:10', onHandG: 4000 },
    { name: 'a jug that lasts into another day', dayCv: 0.2, time: '10:00', onHandG: 30_000 },
    { name: 'days that differ little', dayCv: 0.08, time: '09:30', onHandG: 7000 },
    { name: 'days that differ much', dayCv: 0.35, time: '11:00', onHandG: 7000 },
  ])
    it(`holds what comes in 85 to 95 of 100 simulated days: ${name}`, () => {
      let held = 0;
      const shops = 200;
      for (let seed = 1; seed <= shops; seed++) {
        const pours = simulatedShop({ seed, from: FROM, days: 72, dayCv });
        const nowMs = at(`2026-06-${8 + (seed % 7)}`.replace(/-(\d)$/, '-0$1') + `T${time}`);
        const { lowMs, highMs } = forecastOf(pours, nowMs)!.runOut(onHandG);
        const trueMs = trulyEmptyMs(pours, nowMs, onHandG);
        if (trueMs >= (lowMs ?? Infinity) - 60_000 && trueMs <= (highMs ?? Infinity) + 60_000)
          held += 1;
      }
      expect((100 * held) / shops).to.be.within(85, 95);
    });

  it('lies in the middle of what comes', () => {
    let early = 0;
    for (let seed = 1; seed <= 200; seed++) {
      const pours = simulatedShop({ seed, from: FROM, days: 72, dayCv: 0.2 });
      const nowMs = at('2026-06-13T09:00');
      if (forecastOf(pours, nowMs)!.runOut(6000).atMs! < trulyEmptyMs(pours, nowMs, 6000))
        early += 1;
    }
    expect(early / 200).to.be.within(0.42, 0.58);
  });

  it('is narrower the more of the day has gone by', () => {
    const widthAt = (time: string): number => {
      const pours = simulatedShop({ seed: 4, from: FROM, days: 72, dayCv: 0.2 });
      const { today } = forecastOf(pours, at(`2026-06-13T${time}`))!;
      return today.high - today.low;
    };
    expect(widthAt('12:00')).to.be.below(widthAt('07:00'));
    expect(widthAt('18:00')).to.be.below(widthAt('12:00'));
    expect(widthAt('23:00')).to.equal(0);
  });

  it('follows a day that goes faster than its weekday', () => {
    const usual = simulatedShop({ seed: 9, from: FROM, days: 61, dayCv: 0.1 });
    const nowMs = at('2026-06-13T11:00');
    const busy = [0.5, 1, 1.5, 2, 2.5].flatMap((hours) =>
      Array.from({ length: 25 }, (_, i) => ({
        atMs: at('2026-06-13T08:00') + hours * 3_600_000 + i * 60_000,
        massG: 120,
      })),
    );
    const quiet = forecastOf([...usual, ...busy.slice(0, 20)], nowMs)!.runOut(6000).atMs!;
    expect(forecastOf([...usual, ...busy], nowMs)!.runOut(6000).atMs).to.be.below(quiet);
  });

  it('takes a weekday without pours for one on which the shop is shut', () => {
    const pours = simulatedShop({ seed: 2, from: FROM, days: 61, dayCv: 0.1, shutOn: 1 });
    // Sunday night to Tuesday: nothing is poured on the Monday between.
    const forecast = forecastOf(pours, at('2026-06-14T21:00'))!;
    const [monday, tuesday] = [at('2026-06-15T00:00'), at('2026-06-16T00:00')];
    expect(forecast.neededG({ fromMs: monday, toMs: tuesday })).to.equal(0);
    expect(forecast.runOut(500).lowMs).to.be.above(tuesday);
  });

  it('says what a span needs as the truth has it on average', () => {
    // 190 drinks of 120 g on a Saturday, half of them by 14:00 (32.5 of 65 parts of its hours).
    let sumG = 0;
    for (let seed = 1; seed <= 100; seed++) {
      const pours = simulatedShop({ seed, from: FROM, days: 61, dayCv: 0.2 });
      sumG += forecastOf(pours, at('2026-06-13T06:00'))!.neededG({
        fromMs: at('2026-06-13T06:00'),
        toMs: at('2026-06-14T00:00'),
      });
    }
    expect(sumG / 100 / (190 * 120)).to.be.within(0.96, 1.04);
  });

  it('knows nothing where nothing was poured, and what a short ledger says', () => {
    const nowMs = at('2026-06-13T09:00');
    expect(createForecast({ days: [], zone, nowMs })).to.equal(null);
    const yesterday = [{ atMs: at('2026-06-12T10:00'), massG: 100 }];
    const { runOut, days } = forecastOf(yesterday, nowMs)!;
    expect(days).to.equal(1);
    expect(runOut(90).lowMs).to.be.above(nowMs);
    expect(runOut(1e6)).to.deep.equal({ lowMs: null, atMs: null, highMs: null });
  });
});

describe('poursByDay', () => {
  it('counts by the wall clock of the shop, an hour that comes twice together', () => {
    // 25 October 2026: 01:30 comes twice in Lisbon.
    const pours = ['2026-10-25T00:30:00Z', '2026-10-25T01:30:00Z', '2026-10-24T23:10:00Z'].map(
      (text) => ({ atMs: Date.parse(text), massG: 100 }),
    );
    expect(poursByDay({ pours, zone })).to.deep.equal([
      {
        date: '2026-10-25',
        quarters: [
          { quarter: 0, count: 1, massG: 100, squaresG2: 10_000 },
          { quarter: 6, count: 2, massG: 200, squaresG2: 20_000 },
        ],
      },
    ]);
  });
});
