import { expect } from 'chai';
import { useWhole } from '../../src/composables/useWhole.ts';

const later = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

describe('useWhole', () => {
  it('waits for the last of what is read', async () => {
    const isWhole = useWhole([later(1), later(20)]);
    await later(8);
    expect(isWhole.value).to.equal(false);
    await later(20);
    expect(isWhole.value).to.equal(true);
  });

  it('waits a second for what does not come', async () => {
    const isWhole = useWhole([new Promise(() => undefined)]);
    await later(900);
    expect(isWhole.value).to.equal(false);
    await later(200);
    expect(isWhole.value).to.equal(true);
  });
});
