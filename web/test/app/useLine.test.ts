import type { Batch } from '@ratio/core/batch';
import { expect } from 'chai';
import { useLine } from '../../src/app/useLine.ts';
import { LATELY_PATH, useBatches } from '../../src/events/batches.ts';
import { useJugs } from '../../src/events/jugs.ts';
import { useSettings } from '../../src/shop/settings.ts';
import { installBrowser } from '../browser.ts';
import { batchOf, jugOf } from '../documents.ts';
import { until } from '../threads.ts';
import { withApp } from '../withApp.ts';

const steeping = (id: string, endsAt: string): Batch => batchOf({ id, endsAt });

const settled = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 400));

describe('useLine', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  async function lineOf(input: { jugs?: ReturnType<typeof jugOf>[]; batches?: Batch[] } = {}) {
    const { jugs = [jugOf()], batches = [] } = input;
    const bench = await withApp({
      browser,
      path: '/plan',
      jugs,
      answers: ({ path }) => (path === LATELY_PATH ? { status: 200, body: batches } : null),
      use: () => ({ line: useLine(), batches: useBatches(), settings: useSettings() }),
    });
    await bench.batches.load();
    const at = (name: string) => bench.line.stations.value.find((one) => one.name === name)!;
    return { ...bench, at };
  }

  it('goes plan, steep, jugs, pour', async () => {
    const { line } = await lineOf();
    expect(line.stations.value.map(({ to }) => to)).to.deep.equal([
      '/plan',
      '/steep',
      '/jugs',
      '/pour',
    ]);
  });

  it('says when the next steep ends, and that one is due', async () => {
    const nothing = await lineOf();
    expect(nothing.at('Steep')).to.include({ text: 'nothing steeping', due: false });
    const two = await lineOf({
      batches: [
        steeping('a', '2026-06-13T07:10:00.000Z'),
        steeping('b', '2026-06-13T17:40:00.000Z'),
      ],
    });
    expect(two.at('Steep')).to.include({ text: '2 steeping, strain 08:10', due: false });
    const overnight = await lineOf({ batches: [steeping('a', '2026-06-14T07:10:00.000Z')] });
    expect(overnight.at('Steep').text).to.equal('1 steeping, strain Sun 08:10');
    const late = await lineOf({ batches: [steeping('a', '2026-06-13T06:30:00.000Z')] });
    expect(late.at('Steep')).to.include({ text: '1 steeping, strain now', due: true });
  });

  it('says what is on hand, in the measures of the tablet, and what to use up', async () => {
    const jugs = [jugOf({ onHandG: 1013 }), jugOf({ id: 'two', onHandG: 2026 })];
    const { at, settings } = await lineOf({ jugs });
    expect(at('Jugs').text).to.match(/^3\.00\sL in 2 jugs$/);
    settings.toggleUnits();
    expect(at('Jugs').text).to.match(/^3\.1[67]\sqt in 2 jugs$/);
    const last = await lineOf({ jugs: [jugOf({ useBy: '2026-06-13T20:00:00.000Z' })] });
    expect(last.at('Jugs').text).to.match(/in 1 jug, use up 1$/);
    expect(last.at('Jugs').due).to.equal(true);
    const none = await lineOf({ jugs: [] });
    expect(none.at('Jugs')).to.include({ text: 'no concentrate', due: true });
  });

  it('counts the drinks that the jug in hand does not reach', async () => {
    const { at } = await lineOf({ jugs: [jugOf({ strengthFrac: 0.04 })] });
    await settled();
    expect(at('Pour')).to.include({ text: '13 drinks', due: false });
    const weak = await lineOf({
      jugs: [jugOf({ strengthFrac: 0.012 }), jugOf({ id: 'two', strengthFrac: 0.04 })],
    });
    // Not before the page stands.
    expect(weak.at('Pour').text).to.equal('13 drinks');
    await until(() => weak.at('Pour').due);
    expect(weak.at('Pour').text).to.match(/^13 drinks, \d+ out of reach$/);
    useJugs().choose('two');
    await until(() => !weak.at('Pour').due);
    expect(weak.at('Pour').text).to.equal('13 drinks');
  });
});
