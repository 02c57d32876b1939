import { NOTHING_NOTED, type ObservationRow } from '@ratio/core/batch';
import { expect } from 'chai';
import { ref } from 'vue';
import { useNoted } from '../../src/steep/useNoted.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

const row = (kind: ObservationRow['kind'], over: Partial<ObservationRow> = {}): ObservationRow => ({
  id: kind,
  batchId: 'b',
  kind,
  at: '2026-06-13T06:00:00.000Z',
  ...NOTHING_NOTED,
  author: 'unsigned',
  ...over,
});

describe('useNoted', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const of = (rows: ObservationRow[]) =>
    withApp({ browser, path: '/steep/b', use: () => useNoted(ref(rows)) });
  const texts = async (rows: ObservationRow[]) =>
    (await of(rows)).value.map(({ text }) => text.replaceAll(/\s/gu, ' '));

  for (const [kind, over, text] of [
    ['agitated', {}, 'stirred'],
    ['read', { strengthFrac: 0.0341 }, 'read 3.41 %'],
    ['temperature', { tempC: 5.5 }, /^\S+ °C inside$/],
    ['moved', { place: 'counter', tempC: 22 }, 'put on the counter'],
    ['moved', { place: 'fridge', tempC: 4 }, 'put into the fridge'],
    ['decanted', { vesselId: 'wide-jar', note: 'It leaked.' }, 'into Wide jar 3 L: It leaked.'],
    [
      'split-off',
      { vesselId: 'gone', shareFrac: 0.4, note: 'Full.' },
      '40 % of it into another vessel: Full.',
    ],
    ['abandoned', { note: 'The bag tore.' }, 'given up: The bag tore.'],
    ['remarked', { note: 'Smells of berries.' }, 'Smells of berries.'],
    ['came-out', { massG: 2400 }, 'came out 2400 g'],
  ] as const)
    it(`says ${kind} in words`, async () => {
      const [found] = await texts([row(kind, over)]);
      if (typeof text === 'string') expect(found).to.equal(text);
      else expect(found).to.match(text);
    });

  it('leaves out the steps and what was taken back; the last one stands first', async () => {
    const rows = [
      row('done', { id: 's', step: 'grind' }),
      row('agitated', { id: 'a' }),
      row('remarked', { id: 'r', note: 'Later.' }),
      row('read', { id: 'x', strengthFrac: 0.03 }),
      row('undone', { id: 'u', undoes: 'x' }),
    ];
    expect(await texts(rows)).to.deep.equal(['Later.', 'stirred']);
  });

  it('a share that went over is not taken back, and who noted it is named', async () => {
    const noted = await of([
      row('split-off', { shareFrac: 0.5 }),
      row('agitated', { author: 'Mara' }),
    ]);
    expect(noted.value.map(({ canGoBack, by }) => [canGoBack, by])).to.deep.equal([
      [true, 'Mara'],
      [false, ''],
    ]);
  });
});
