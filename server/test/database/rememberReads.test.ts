import { expect } from 'chai';
import { rememberReads } from '../../src/database/rememberReads.ts';

describe('rememberReads', () => {
  function shelf() {
    let written = 0;
    let asked = 0;
    let rows: object[] = [{ id: 'lot-14' }];
    const remembered = rememberReads(() => written);
    return {
      read: (key = 'coffees') =>
        remembered(key, async () => {
          asked += 1;
          const found = rows;
          await Promise.resolve();
          return found;
        }),
      write: (next: object[]) => {
        rows = next;
        written += 1;
      },
      asked: () => asked,
    };
  }

  it('asks once for a thing, and for each thing by itself', async () => {
    const { read, asked } = shelf();
    await Promise.all([read(), read(), read('vessels')]);
    await read();
    expect(asked()).to.equal(2);
  });

  it('asks again after any write, and gives what was written', async () => {
    const { read, write, asked } = shelf();
    await read();
    write([{ id: 'lot-9' }]);
    expect(await read()).to.deep.equal([{ id: 'lot-9' }]);
    expect(asked()).to.equal(2);
  });

  it('does not keep what a write overtook', async () => {
    const { read, write } = shelf();
    const early = read();
    write([{ id: 'lot-9' }]);
    expect(await early).to.deep.equal([{ id: 'lot-14' }]);
    expect(await read()).to.deep.equal([{ id: 'lot-9' }]);
  });

  it('holds no long list and no failure', async () => {
    const { read, write, asked } = shelf();
    write(Array.from({ length: 501 }, (_, i) => ({ id: `row-${i}` })));
    await read();
    await read();
    expect(asked()).to.equal(2);

    const remembered = rememberReads(() => 0);
    const failing = () => remembered('coffees', () => Promise.reject(new Error('busy')));
    for (const _ of [1, 2])
      expect(await failing().catch((error: Error) => error.message)).to.equal('busy');
    expect(await remembered('coffees', async () => [1])).to.deep.equal([1]);
  });
});
