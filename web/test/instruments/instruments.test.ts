import { expect } from 'chai';
import { useInstrumentEdits } from '../../src/instruments/useInstrumentEdits.ts';
import { useSerialPort } from '../../src/instruments/useSerialPort.ts';
import { useInstruments } from '../../src/instruments/instruments.ts';
import { lidoInstruments } from '../../../demo/lido.ts';
import { installBrowser, type Asked } from '../browser.ts';
import { withApp } from '../withApp.ts';

const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

describe('instruments of a page', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const all = lidoInstruments.map((one) => ({ ...one, version: 1 }));
  const answers = ({ path, method, body }: Asked) => {
    if (path.endsWith('/lines') || path.endsWith('/acts'))
      return {
        status: 200,
        body: { instrumentId: 'x', state: 'speaks', detail: '', malformed: 0, sample: null },
      };
    if (path === '/api/instruments/states') return { status: 200, body: [] };
    if (!path.startsWith('/api/instruments')) return null;
    if (method === 'GET') return { status: 200, body: all };
    const id = path.split('/').at(-1);
    return { status: 200, body: { ...(body as object), id, version: 2 } };
  };

  it('a new one is a stand-in, a change is written in its version, one is taken away', async () => {
    const { edits, instruments } = await withApp({
      browser,
      path: '/shelf/instruments',
      answers,
      use: () => ({ edits: useInstrumentEdits(), instruments: useInstruments() }),
    });
    await instruments.load();
    const id = await edits.add('probe');
    const added = browser.asked.find(({ path }) => path === `/api/instruments/${id}`)!;
    expect(added).to.include({ method: 'PUT', version: '"0"' });
    expect(added.body).to.deep.include({ kind: 'probe', place: 'fridge' });
    await edits.change(all[0]!, { name: 'Other' }, 'renamed');
    expect(browser.asked.findLast(({ method }) => method === 'PUT')).to.include({ version: '"1"' });
    await edits.takeAway(all[0]!);
    expect(browser.asked.some(({ method }) => method === 'DELETE')).to.equal(true);
  });

  it('lines of a serial port are cut and sent on; a port that fails says why', async () => {
    const chunks = ['mass 12', '.5 steady\nmass 13\nma', 'ss 14\n'];
    const port = {
      readable: new ReadableStream<Uint8Array>({
        async pull(controller) {
          const next = chunks.shift();
          if (next !== undefined) return controller.enqueue(new TextEncoder().encode(next));
          await wait(300);
          controller.close();
        },
      }),
      open: async () => undefined,
      close: async () => undefined,
    };
    let isRefused = false;
    Object.defineProperty(globalThis, 'navigator', {
      configurable: true,
      value: {
        serial: {
          requestPort: async () => {
            if (isRefused) throw new Error('No port selected by the user.');
            return port;
          },
        },
      },
    });
    const serial = await withApp({
      browser,
      path: '/shelf/instruments',
      answers,
      use: () => useSerialPort(),
    });
    expect(serial.hasSerial).to.equal(true);
    await serial.open('bench', 9600);
    const lines = browser.asked
      .filter(({ path }) => path === '/api/instruments/bench/lines')
      .flatMap(({ body }) => (body as { lines: string[] }).lines);
    expect(lines).to.deep.equal(['mass 12.5 steady', 'mass 13', 'mass 14']);
    expect(serial.openFor.value).to.equal(null);
    isRefused = true;
    await serial.open('bench', 9600);
    expect(serial.failure.value).to.match(/No port selected/);
  });
});
