import { expect } from 'chai';
import { beginFirstAnswers, endFirstAnswers, firstAnswer } from '../../src/sync/firstAnswers.ts';
import { useChanges } from '../../src/app/useChanges.ts';
import { LATELY_PATH } from '../../src/events/batches.ts';
import { useInstrumentFeed } from '../../src/instruments/instrumentFeed.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

/** The server's events, as a test sends them. */
class PretendedEvents {
  static last: PretendedEvents;
  onmessage: (event: { data: string; lastEventId?: string }) => void = () => undefined;
  addEventListener(): void {}
  onerror: () => void = () => undefined;
  onopen: () => void = () => undefined;
  constructor(readonly path: string) {
    PretendedEvents.last = this;
  }
  close(): void {
    this.onmessage = () => undefined;
  }
}

describe('useChanges', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
    Object.assign(globalThis, { EventSource: PretendedEvents });
    Object.assign(window, { addEventListener: () => undefined });
  });
  afterEach(async () => {
    browser.answer(() => ({ status: 404, body: {} }));
    beginFirstAnswers();
    await firstAnswer('/api/jugs');
    endFirstAnswers();
  });
  /** Nothing opens the stream while a page is put up. */
  const idle = () => new Promise((resolve) => setTimeout(resolve, 60));
  const settled = () => new Promise((resolve) => setTimeout(resolve, 0));
  async function listen(): Promise<PretendedEvents> {
    await withApp({ browser, path: '/pour', use: useChanges });
    await idle();
    browser.asked.splice(0);
    return PretendedEvents.last;
  }
  const asked = () => [...new Set(browser.asked.map(({ path }) => path))].sort();

  it('reads again what another tablet changed, and only that', async () => {
    const events = await listen();
    expect(events.path).to.equal('/api/changes');
    events.onmessage({ data: JSON.stringify({ noun: 'pantry', id: 'oat-drink' }) });
    await settled();
    expect(asked()).to.deep.equal(['/api/house-recipes', '/api/opened', '/api/pantry']);
    browser.asked.splice(0);
    events.onmessage({ data: JSON.stringify({ noun: 'jugs', id: 'one' }) });
    await settled();
    expect(asked()).to.deep.equal(['/api/jugs', '/api/ledger']);
  });

  it('asks for what changed since the first answers, and reads that alone', async () => {
    browser.answer(() => ({ status: 200, body: { after: 'run.41' } }));
    beginFirstAnswers();
    await firstAnswer('/api/jugs');
    endFirstAnswers();
    const events = await listen();
    expect(events.path).to.equal('/api/changes?after=run.41');
    events.onopen();
    await settled();
    expect(asked()).to.deep.equal([]);
    events.onmessage({ data: JSON.stringify({ noun: 'jugs' }) });
    await settled();
    expect(asked()).to.deep.equal(['/api/jugs', '/api/ledger']);
  });

  it('goes on from the last change where a page begins to watch the instruments', async () => {
    const events = await listen();
    events.onmessage({ data: JSON.stringify({ noun: 'jugs', id: 'one' }), lastEventId: 'run.42' });
    await settled();
    browser.asked.splice(0);
    useInstrumentFeed().watching += 1;
    await settled();
    const next = PretendedEvents.last;
    expect(next.path).to.equal('/api/changes?with=instruments&after=run.42');
    next.onopen();
    await settled();
    expect(asked()).to.deep.equal([]);
  });

  it('reads everything again after a dropped connection, and what changes all day on the first one', async () => {
    const events = await listen();
    events.onopen();
    await settled();
    // Between the first reading and the stream something may have changed.
    expect(asked()).to.deep.equal([LATELY_PATH, '/api/drafts', '/api/jugs', '/api/ledger']);
    events.onerror();
    events.onopen();
    await settled();
    expect(asked()).to.include.members([LATELY_PATH, '/api/jugs', '/api/pantry', '/api/shop']);
  });
});
