import { setTimeout as wait } from 'node:timers/promises';
import { expect } from 'chai';
import type { Instrument, Line } from '@ratio/core/instruments';
import { simulatedDriver, type Surroundings } from '../../src/instruments/simulatedDriver.ts';

type Found = NonNullable<Awaited<ReturnType<Surroundings['at']>>>;

describe('simulatedDriver', () => {
  const drivers: { close: () => void }[] = [];
  afterEach(() => drivers.splice(0).forEach((driver) => driver.close()));

  function open(kind: Instrument['kind'], found: Partial<Found> = {}) {
    const lines: Line[] = [];
    const at: Found = {
      stepKey: 'weigh',
      massG: 60,
      isOnTop: false,
      strengthFrac: 0.034,
      tempC: 21,
      ...found,
    };
    let isWatched = true;
    const around: Surroundings = {
      at: async () => at,
      roomC: () => 20,
      placeC: async () => 4,
      brixOf: (strengthFrac) => (100 * strengthFrac) / 0.85,
      isWatched: () => isWatched,
    };
    const driver = simulatedDriver({ kind, driver: { by: 'simulated', seed: 3 } }, around, {
      line: (line) => lines.push(line),
      state: () => undefined,
    });
    drivers.push(driver);
    const until = async (is: (line: Line) => boolean): Promise<Line> => {
      for (let i = 0; i < 400; i++, await wait(25)) {
        const line = lines.at(-1);
        if (line && is(line)) return line;
      }
      throw new Error(`It stayed ${JSON.stringify(lines.at(-1))}`);
    };
    return { driver, lines, at, until, watch: (is: boolean) => (isWatched = is) };
  }
  const weighs = (massG: number) => (line: Line) =>
    line.says === 'mass' && line.isSteady === true && Math.abs(line.massG - massG) < 2;

  it('a scale weighs what the step in hand takes, and the next one on top of it', async () => {
    const { driver, at, until } = open('scale');
    driver.act({ act: 'attend', batchId: 'b' });
    await until(weighs(60));
    Object.assign(at, { stepKey: 'pour', massG: 80, isOnTop: true });
    await until(weighs(140));
    driver.act({ act: 'tare' });
    await until(weighs(0));
  });

  it('a scale is tried with something, and stands still while nobody looks', async () => {
    const { driver, lines, until, watch } = open('scale');
    driver.act({ act: 'try', massG: 500 });
    await until(weighs(500));
    driver.act({ act: 'try', massG: 0 });
    await until(weighs(0));
    watch(false);
    await wait(150);
    const { length } = lines;
    await wait(300);
    expect(lines.length).to.equal(length);
  });

  it('a refractometer reads the batch that it attends, or a drop that is tried', async () => {
    const { driver, until } = open('refractometer');
    driver.act({ act: 'attend', batchId: 'b' });
    await until((line) => line.says === 'brix' && Math.abs(line.brix - 4) < 0.2);
    driver.act({ act: 'try', brix: 10 });
    await until((line) => line.says === 'brix' && Math.abs(line.brix - 10) < 0.2);
  });

  it('a probe says how warm its place is, whether anybody looks or not', async () => {
    const { until, watch, driver } = open('probe');
    watch(false);
    expect(driver.act({ act: 'tare' })).to.equal(true);
    await until((line) => line.says === 'temp' && Math.abs(line.tempC - 4) < 1);
  });
});
