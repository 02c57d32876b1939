import { expect } from 'chai';
import { effectScope, nextTick, ref } from 'vue';
import { wasEver } from '../../../src/components/figures/wasEver.ts';

describe('wasEver', () => {
  const scope = effectScope();
  after(() => scope.stop());

  it('is so from the first time on', async () => {
    const isSo = ref(false);
    const was = scope.run(() => wasEver(() => isSo.value))!;
    expect(was.value).to.equal(false);
    isSo.value = true;
    await nextTick();
    isSo.value = false;
    await nextTick();
    expect(was.value).to.equal(true);
    expect(scope.run(() => wasEver(() => true))!.value).to.equal(true);
  });
});
