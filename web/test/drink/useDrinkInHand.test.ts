import type { Drink, KeepDrinkRequest } from '@ratio/core/drink';
import { expect } from 'chai';
import { ref } from 'vue';
import { nextTick } from 'vue';
import { lidoDrinks } from '../../../demo/lido.ts';
import { keptText } from '../../src/sync/ours.ts';
import { useDrinkInHand } from '../../src/drink/useDrinkInHand.ts';
import { usePour } from '../../src/drink/usePour.ts';
import { usePourOutcome } from '../../src/drink/usePourOutcome.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { installBrowser, type Handler } from '../browser.ts';
import { withApp } from '../withApp.ts';

describe('useDrinkInHand', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });

  /** A menu that keeps what it is told to keep; `refuse` what it answers instead. */
  function menu(refuse?: { status: number; body: object }): Handler {
    const kept = new Map<string, Drink>(
      lidoDrinks.map((drink) => [drink.id, { ...drink, version: 1 }]),
    );
    return ({ path, method, body }) => {
      const [, id = ''] = /^\/api\/drinks\/([^/]+)/u.exec(path) ?? [];
      if (method !== 'GET' && refuse) return refuse;
      if (method === 'DELETE') {
        kept.delete(id);
        return { status: 200, body: { id } };
      }
      if (method === 'POST') {
        const request = body as KeepDrinkRequest;
        const before = kept.get(id);
        const saved = { ...request.drink, id, version: (before?.version ?? 0) + 1 };
        if (request.forWhom === '') kept.set(id, saved);
        return { status: 201, body: request.forWhom === '' ? saved : before };
      }
      return { status: 200, body: [...kept.values()] };
    };
  }
  const open = (handler: Handler = menu(), asked = 'lido-black') =>
    withApp({
      browser,
      path: `/pour?drink=${asked}`,
      answers: (request) => (request.path.startsWith('/api/drinks') ? handler(request) : null),
      use: () => ({ hand: useDrinkInHand(), notice: useNotice() }),
    });

  it('says that the drink which the address asks for is not on the menu', async () => {
    const there = await open();
    expect([there.hand.usual.value!.id, there.notice.notice]).to.deep.equal(['lido-black', null]);
    const { hand, notice } = await open(menu(), 'gone');
    expect(hand.usual.value!.id).to.equal(lidoDrinks[0]!.id);
    expect(notice.notice!.text).to.equal('There is no such drink on the menu any more.');
  });

  it('keeps what is changed or new in hand where the address asks for the same drink', async () => {
    for (const over of [{}, { id: 'fresh-drink', version: 0 }]) {
      const changed: Drink = { ...lidoDrinks[0]!, version: 1, cupMl: 333, ...over };
      const { hand, notice } = await withApp({
        browser,
        path: `/pour/card?drink=${changed.id}`,
        answers: (request) => (request.path.startsWith('/api/drinks') ? menu()(request) : null),
        use: () => {
          // As a page left it that was never asked for a drink by its address.
          browser.storage.set('ratio.drink.edited', keptText(changed));
          return { hand: useDrinkInHand(), notice: useNotice() };
        },
      });
      expect(hand.drink.value).to.deep.equal(changed);
      expect(notice.notice).to.equal(null);
      // Its address stays, and asks for nothing that is not there.
      hand.choose('milk-tide');
      await nextTick();
      expect(notice.notice!.undo).to.be.a('function');
    }
  });

  it('lets go of what is changed where another drink is chosen, and takes it back', async () => {
    const { hand, notice } = await open();
    hand.choose('milk-tide');
    expect(notice.notice).to.equal(null);
    hand.adjust('stronger');
    const changed = hand.edited.value!;
    hand.choose('lido-black');
    expect([hand.edited.value, hand.drink.value!.id]).to.deep.equal([null, 'lido-black']);
    expect(notice.notice!.text).to.equal('Milk tide: as usual again.');
    await notice.undo();
    expect(hand.drink.value).to.deep.equal(changed);
    hand.asUsual();
    expect(hand.drink.value!.id).to.equal('milk-tide');
  });

  it('takes a version of its history in hand; what was changed before comes back by undo', async () => {
    const { hand, notice } = await open();
    const { id: _, version: __, ...before } = hand.usual.value!;
    const version = { ...before, cupMl: before.cupMl + 20 };
    hand.take(version);
    expect([hand.drink.value!.cupMl, notice.notice]).to.deep.equal([version.cupMl, null]);
    hand.asUsual();
    hand.adjust('stronger');
    const changed = hand.edited.value!;
    hand.take(version);
    expect(hand.drink.value!.cupMl).to.equal(version.cupMl);
    expect(notice.notice!.text).to.equal('Lido black: what was changed and not kept is let go.');
    await notice.undo();
    expect(hand.drink.value).to.deep.equal(changed);
  });

  it('says that a version has something in it which left the shelf, and keeps what is in hand', async () => {
    const { hand, notice } = await open();
    const { id: _, version: __, ...before } = hand.usual.value!;
    hand.adjust('stronger');
    const changed = hand.edited.value!;
    hand.take({ ...before, additions: [{ ingredient: 'left-the-shelf', volumeMl: 10, tempC: 4 }] });
    expect(hand.drink.value).to.deep.equal(changed);
    expect(notice.notice!.text).to.equal(
      'Something in it is not on the shelf any more. Nothing is changed.',
    );
  });

  it('keeps a step of taste as the usual, and undoes it', async () => {
    const { hand, notice } = await open();
    const before = hand.usual.value!.target;
    hand.adjust('stronger');
    expect(hand.changes.value[0]).to.match(/^target /u);
    await hand.keep('');
    expect([hand.edited.value, hand.usual.value!.version]).to.deep.equal([null, 2]);
    expect(notice.notice!.text).to.equal('Lido black: kept as the usual.');
    await notice.undo();
    expect(hand.usual.value).to.deep.include({ version: 3, target: before });
  });

  it('keeps it for somebody: the usual stays, and there is nothing to undo', async () => {
    const { hand, notice } = await open();
    hand.adjust('sweeter');
    await hand.keep('the window seat');
    expect(hand.usual.value!.version).to.equal(1);
    expect(notice.notice!.text).to.equal('Lido black: kept for the window seat.');
    expect(notice.notice!.undo).to.equal(undefined);
  });

  it('stays in hand where it is refused, ready for the next try', async () => {
    const { hand, notice } = await open(menu({ status: 412, body: { detail: 'Changed first.' } }));
    hand.adjust('weaker');
    await hand.keep('');
    expect(notice.notice!.text).to.equal('Not kept. Changed first.');
    expect([hand.edited.value!.version, hand.keeping.value]).to.deep.equal([1, false]);
  });

  it('leaves the menu, and comes back by undo', async () => {
    const { hand, notice } = await open();
    await hand.remove();
    expect(hand.usual.value!.id).to.not.equal('lido-black');
    expect(notice.notice!.text).to.equal('Lido black is off the menu.');
    await notice.undo();
    expect(hand.usual.value!.id).to.equal('lido-black');
    const refused = await open(menu({ status: 409, body: { detail: 'In use.' } }));
    await refused.hand.remove();
    expect(refused.notice.notice!.text).to.equal('In use.');
  });

  it('that is new is discarded without a word to anybody, and goes to the end of the menu', async () => {
    const { hand } = await open();
    hand.startNew();
    expect(hand.isNew.value).to.equal(true);
    const last = Math.max(...lidoDrinks.map(({ order }) => order));
    expect(hand.drink.value!.order).to.equal(last + 1);
    await hand.keep('');
    expect(hand.usual.value!.name).to.equal('New drink');
    hand.startNew();
    await hand.remove();
    expect(hand.edited.value).to.equal(null);
    expect(browser.asked.some(({ method }) => method === 'DELETE')).to.equal(false);
  });

  it('says where a step of taste has nothing left to take away', async () => {
    const { hand, notice } = await open();
    hand.adjust('drier');
    expect(notice.notice!.text).to.equal('There is nothing left that would make it drier.');
    hand.take({ ...hand.usual.value!, price: 9 });
    expect(hand.edited.value!.price).to.equal(9);
    hand.asUsual();
    expect(hand.edited.value).to.equal(null);
  });

  it('is told on Pour with all that belongs to it, changed or as it is', async () => {
    const { page, outcome } = await withApp({
      browser,
      path: '/pour?drink=milk-tide',
      use: () => {
        const pour = usePour();
        return { page: pour, outcome: usePourOutcome(pour, ref([])) };
      },
    });
    expect(outcome.value!.drink.name).to.equal('Milk tide');
    expect([outcome.value!.edits.changes, outcome.value!.ownIceName]).to.deep.equal([
      null,
      'water ice',
    ]);
    page.hand.adjust('sweeter');
    expect(outcome.value!.edits.changes).to.have.length(1);
    page.hand.change({ ice: null });
    expect(outcome.value!.ownIceName).to.equal('without ice');
  });
});
