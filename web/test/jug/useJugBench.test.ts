import { expect } from 'chai';
import { nextTick } from 'vue';
import { useJugBench } from '../../src/jug/useJugBench.ts';
import { useJugs } from '../../src/events/jugs.ts';
import { installBrowser } from '../browser.ts';
import { jugOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

describe('useJugBench', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const strong = jugOf({ id: 'two', label: 'Jug 2', strengthFrac: 0.04, onHandG: 900 });
  const third = jugOf({ id: 'three', label: 'Jug 3', strengthFrac: 0.026, onHandG: 900 });
  const open = (two = strong) =>
    withApp({
      browser,
      path: '/jugs/one',
      use: useJugBench,
      jugs: [jugOf({ strengthFrac: 0.03 }), two, third],
      answers: ({ path }) => (path.endsWith('/entries') ? { status: 200, body: [] } : null),
    });

  it('begins a little weaker, a little more, and with all of a jug that cannot bring it halfway', async () => {
    const bench = await open();
    const { readFrac, thinFrac, stretchG, blendFrac, blend, chooseOther, other } = bench;
    expect([readFrac.value, thinFrac.value]).to.deep.equal([null, 0.027]);
    expect(stretchG.value).to.equal(1150);
    expect(other.value!.id).to.equal('two');
    // By hand: (1000 g · 3 % + 900 g · 4 %) / 1900 g = 3.474 %; with 2.6 % it is 2.811 %.
    expect(blendFrac.value).to.equal(0.0347);
    expect(blend.value!.wrong).to.equal('');
    chooseOther('three');
    expect(blendFrac.value).to.equal(0.0282);
    expect(blend.value!.wrong).to.equal('');
    blendFrac.value = 0.028;
    expect(blend.value!.wrong).to.equal(
      'Jug 3 holds 900\u202fg, and this takes 1000\u202fg of it.',
    );
  });

  it('begins halfway to a jug that holds enough for that', async () => {
    const { blendFrac } = await open({ ...strong, onHandG: 1000 });
    expect(blendFrac.value).to.equal(0.035);
  });

  it('says what a reading would lose, and what a blend would bring back', async () => {
    const { readFrac, blendFrac, menus } = await open();
    expect(menus.read.value).to.equal('');
    readFrac.value = 0.03;
    expect(menus.read.value).to.match(
      /^The menu stays in reach as it is\. Lido black: \d+ → \d+\.$/,
    );
    readFrac.value = 0.014;
    expect(menus.read.value).to.match(/^Out of reach then: .*Lido black.*Lido black: \d+ → 0\.$/);
    // 3.0 % is short of the undiluted one; near 4 % it is in reach.
    blendFrac.value = 0.0395;
    expect(menus.blend.value).to.equal('');
    blendFrac.value = 0.034;
    expect(menus.blend.value).to.match(/Lido black: \d+ → \d+/);
  });

  it('says nothing of a menu where the balance does not come out', async () => {
    const { thinFrac, thin, menus } = await open();
    thinFrac.value = 0.035;
    expect(thin.value.wrong).not.to.equal('');
    expect(menus.thin.value).to.equal('');
  });

  it('begins again from what the jug is once something was done to it', async () => {
    const { thinFrac, readFrac } = await open();
    thinFrac.value = 0.02;
    const jugs = useJugs();
    const changed = jugs.jugs.map((one) =>
      one.id === 'one' ? { ...one, strengthFrac: 0.025 } : one,
    );
    browser.answer(() => ({ status: 200, body: changed }));
    await jugs.load();
    await nextTick();
    expect([readFrac.value, thinFrac.value]).to.deep.equal([null, 0.0225]);
  });

  it('loses nothing that is being entered when the jugs are read again, or another tablet pours', async () => {
    const { readFrac, drawnG, drawnFor, discardReason, waterG, thinFrac } = await open();
    const enterAll = () => {
      [readFrac.value, drawnG.value, waterG.value] = [0.034, 200, 50];
      [drawnFor.value, discardReason.value] = ['the pool kiosk', 'smelt off'];
      thinFrac.value = 0.02;
    };
    const entered = () => [
      readFrac.value,
      drawnG.value,
      waterG.value,
      drawnFor.value,
      discardReason.value,
    ];
    enterAll();
    const before = entered();
    const jugs = useJugs();
    await jugs.load();
    await nextTick();
    expect([...entered(), thinFrac.value]).to.deep.equal([...before, 0.02]);
    const poured = jugs.jugs.map((one) => ({ ...one, onHandG: one.onHandG - 60 }));
    browser.answer(() => ({ status: 200, body: poured }));
    await jugs.load();
    await nextTick();
    expect(entered()).to.deep.equal(before);
  });

  it('begins anew once it was done here, and keeps what was refused', async () => {
    const { readFrac, enter } = await open();
    readFrac.value = 0.034;
    browser.answer(() => ({ status: 409, body: { detail: 'Not now.' } }));
    await enter({ kind: 'read', strengthFrac: 0.034, note: '' }, 'read');
    expect(readFrac.value).to.equal(0.034);
    browser.answer(({ method }) => ({
      status: method === 'POST' ? 201 : 200,
      body: method === 'POST' ? jugOf({ strengthFrac: 0.034 }) : [jugOf({ strengthFrac: 0.034 })],
    }));
    await enter({ kind: 'read', strengthFrac: 0.034, note: '' }, 'read');
    expect(readFrac.value).to.equal(null);
  });
});
