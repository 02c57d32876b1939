import { expect } from 'chai';
import { effectScope, type EffectScope } from 'vue';
import { nextPicture } from '../../src/composables/nextPicture.ts';
import { useTurn } from '../../src/composables/useTurn.ts';

describe('useTurn', () => {
  const was = globalThis.document;
  const see = (hidden: boolean): void => void Object.assign(globalThis, { document: { hidden } });
  const scopes: EffectScope[] = [];
  const ask = () => {
    const scope = effectScope();
    scopes.push(scope);
    return { scope, isOn: scope.run(useTurn)! };
  };
  const task = () => new Promise((resolve) => setTimeout(resolve));
  afterEach(() => {
    for (const scope of scopes.splice(0)) scope.stop();
  });
  after(() => Object.assign(globalThis, { document: was }));

  it('puts up one part in each task, in the order in which they asked', async () => {
    see(false);
    const parts = [ask(), ask(), ask()];
    const stand = () => parts.map(({ isOn }) => isOn.value);
    expect(stand()).to.deep.equal([false, false, false]);
    await task();
    expect(stand()).to.deep.equal([true, false, false]);
    await task();
    expect(stand()).to.deep.equal([true, true, false]);
    await task();
    expect(stand()).to.deep.equal([true, true, true]);
  });

  it('goes on after the last one, and passes over a part that was left', async () => {
    see(false);
    const [first, left] = [ask(), ask()];
    left.scope.stop();
    await task();
    await task();
    expect([first.isOn.value, left.isOn.value]).to.deep.equal([true, false]);
    const later = ask();
    await task();
    expect(later.isOn.value).to.equal(true);
  });

  it('puts up all of a page that nobody sees at once', () => {
    see(true);
    expect(ask().isOn.value).to.equal(true);
  });

  it('is over for whoever waits for the picture once the last part, and what it holds, is drawn', async () => {
    see(false);
    Object.assign(globalThis, { requestAnimationFrame: (draw: () => void) => setTimeout(draw) });
    const parts = Array.from({ length: 5 }, ask);
    let isDrawn = false;
    const drawn = nextPicture().then(() => (isDrawn = true));
    await task();
    await task();
    expect([parts[1]!.isOn.value, isDrawn]).to.deep.equal([true, false]);
    parts.push(ask());
    await drawn;
    expect(parts.every(({ isOn }) => isOn.value)).to.equal(true);
    Reflect.deleteProperty(globalThis, 'requestAnimationFrame');
  });
});
