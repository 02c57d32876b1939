import { expect } from 'chai';
import { amountCards } from '../../src/jug/amountCards.ts';
import type { JugCard } from '../../src/jug/jugCard.ts';
import { strengthCards } from '../../src/jug/strengthCards.ts';
import { useJugBench } from '../../src/jug/useJugBench.ts';
import type { FieldRow } from '../../src/format/index.ts';
import { useAmountFormat } from '../../src/shop/index.ts';
import { installBrowser } from '../browser.ts';
import { jugOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

const jug = jugOf({ strengthFrac: 0.03, onHandG: 1000, pricePerKg: 10 });
const strong = jugOf({ id: 'two', label: 'Jug 2', strengthFrac: 0.04, onHandG: 1000 });

describe('the cards of a jug', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  async function open() {
    const page = await withApp({
      browser,
      path: '/jugs/one',
      jugs: [jug, strong],
      answers: ({ method, path }) => {
        if (method === 'POST') return { status: 201, body: jug };
        return path.endsWith('/entries') ? { status: 200, body: [] } : null;
      },
      use: () => ({ bench: useJugBench(), format: useAmountFormat() }),
    });
    const { bench, format } = page;
    const cards = { ...strengthCards(bench, format), ...amountCards(bench, format) };
    return { bench, card: (view: keyof typeof cards): JugCard => cards[view](jug)! };
  }
  /** Enters a value into the row with a name, as its field does. */
  function enter(card: JugCard, name: string, value: number | string): void {
    const found = card.rows.find(({ row }: FieldRow) => row.name === name)!;
    if (found.field === 'amount') found.row.change(value as number, 'volume');
    else found.row.change(value as string);
  }
  /** Presses the button. @returns what the server was asked, without the identity */
  async function act(card: JugCard): Promise<unknown> {
    browser.asked.splice(0);
    card.act();
    await new Promise((resolve) => setImmediate(resolve));
    const {
      id: _,
      at: __,
      ...body
    } = browser.asked.find(({ method }) => method === 'POST')!.body as { id: string; at?: string };
    return body;
  }

  it('notes a reading, once there is one', async () => {
    const { card } = await open();
    expect(card('read')).to.include({ disabled: true, action: 'Say what was read' });
    enter(card('read'), 'Reading of the jug', 0.031);
    expect(card('read').worked).to.match(/^3\.00\s%.* → 3\.10\s%.*, caffeine with it$/);
    expect(await act(card('read'))).to.deep.equal({ kind: 'read', strengthFrac: 0.031, note: '' });
  });

  it('thins to a strength by the balance m (c / c* − 1)', async () => {
    const { card } = await open();
    enter(card('thin'), 'Strength wanted in the jug', 0.025);
    // By hand: 1000 g (3.0 / 2.5 − 1) = 200 g.
    expect(card('thin').action).to.match(/^Add 200\sg of water$/);
    const body = (await act(card('thin'))) as { kind: string; massG: number };
    expect(body.kind).to.equal('watered');
    expect(body.massG).to.be.closeTo(200, 1e-9);
  });

  it('blends with another jug by m (c* − c) / (c₂ − c*)', async () => {
    const { card } = await open();
    enter(card('blend'), 'Strength of the blend', 0.032);
    // By hand: 1000 g (3.2 − 3.0) / (4.0 − 3.2) = 250 g.
    expect(card('blend').action).to.match(/^Add 250\sg of Jug 2$/);
    const body = (await act(card('blend'))) as { massG: number };
    expect(body).to.include({ kind: 'blended', fromJugId: 'two', note: 'Jug 2 into Jug 1' });
    expect(body.massG).to.be.closeTo(250, 1e-9);
  });

  it('stretches to an amount, and takes water as it was seen', async () => {
    const { card } = await open();
    enter(card('stretch'), 'Amount wanted in the jug', 1200);
    // By hand: 1000 g · 3.0 % / 1200 g = 2.5 %.
    expect(card('stretch').worked).to.match(/= 2\.50\s%.*, with 200\sg of water$/);
    expect(card('water')).to.include({ worked: 'Say how much.' });
    enter(card('water'), 'Water added', 250);
    // A litre of water at 4 °C has 1000 g.
    expect(card('water').action).to.match(/^250\sg of water are in$/);
    expect(await act(card('stretch'))).to.include({ kind: 'watered', massG: 200 });
  });

  it('draws off, counts and discards what was said, and nothing before', async () => {
    const { card, bench } = await open();
    for (const view of ['draw', 'count', 'discard'] as const)
      expect(card(view).disabled, view).to.equal(true);
    enter(card('draw'), 'How much is drawn off', 100);
    enter(card('draw'), 'What it is drawn off for', 'staff');
    expect(await act(card('draw'))).to.deep.equal({
      kind: 'poured',
      massG: 100 * bench.gPerMl.value,
      note: 'staff',
    });
    enter(card('count'), 'Counted in the jug', 800);
    expect(card('count').worked).to.match(/ are missing\.$/);
    enter(card('discard'), 'Why it is discarded', 'smelt off');
    // All of it: 1 kg at 10.00 a kilogram.
    expect(card('discard').worked).to.contain('10.00 of coffee');
    expect(await act(card('discard'))).to.deep.equal({
      kind: 'discarded',
      massG: 1000,
      reason: 'smelt off',
    });
  });
});
