import { expect } from 'chai';
import { effectScope } from 'vue';
import { useStages } from '../../src/composables/useStages.ts';

describe('useStages', () => {
  const was = { document: globalThis.document, frame: globalThis.requestAnimationFrame };
  let frames: (() => void)[] = [];
  const see = (hidden: boolean): void => {
    frames = [];
    Object.assign(globalThis, {
      document: { hidden },
      requestAnimationFrame: (work: () => void) => frames.push(work),
    });
  };
  after(() =>
    Object.assign(globalThis, { document: was.document, requestAnimationFrame: was.frame }),
  );
  const picture = async (): Promise<void> => {
    for (const work of frames.splice(0)) work();
    await new Promise((resolve) => setTimeout(resolve, 1));
  };

  it('puts up one part after each picture, and stops at the last', async () => {
    see(false);
    const scope = effectScope();
    const stage = scope.run(() => useStages(2))!;
    expect(stage.value).to.equal(0);
    await picture();
    expect(stage.value).to.equal(1);
    await picture();
    expect(stage.value).to.equal(2);
    expect(frames).to.have.length(0);
    scope.stop();
  });

  it('puts up all of a page that nobody sees, and nothing of one that was left', async () => {
    see(true);
    const scope = effectScope();
    expect(scope.run(() => useStages(3))!.value).to.equal(3);
    see(false);
    const left = effectScope();
    const stage = left.run(() => useStages(3))!;
    left.stop();
    await picture();
    expect(stage.value).to.equal(0);
    scope.stop();
  });
});
