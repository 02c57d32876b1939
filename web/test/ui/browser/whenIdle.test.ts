import { expect } from 'chai';
import { whenIdle } from '../../../src/ui/browser/whenIdle.ts';

const settled = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 400));

describe('whenIdle', () => {
  it('does things later, one after another, in the order in which they were asked for', async () => {
    const done: string[] = [];
    whenIdle(() => done.push('coffee'));
    whenIdle(() => done.push('grind'));
    expect(done).to.deep.equal([]);
    await settled();
    expect(done).to.deep.equal(['coffee', 'grind']);
  });

  it('leaves out what is taken back, and goes on with the rest', async () => {
    const done: string[] = [];
    const stop = whenIdle(() => done.push('coffee'));
    whenIdle(() => done.push('grind'));
    stop();
    await settled();
    expect(done).to.deep.equal(['grind']);
    whenIdle(() => done.push('vessel'));
    await settled();
    expect(done).to.deep.equal(['grind', 'vessel']);
  });
});
