import { expect } from 'chai';
import { effectScope, nextTick, ref } from 'vue';
import { useFetched } from '../../src/components/figures/useFetched.ts';
import { useOnAsking } from '../../src/composables/useOnAsking.ts';

const settled = () => new Promise((resolve) => setTimeout(resolve));

describe('what is fetched by itself', () => {
  it('comes when somebody asks, once', async () => {
    const asked = ref<string | null>(null);
    let fetches = 0;
    const scope = effectScope();
    const it = scope.run(() =>
      useOnAsking(
        () => asked.value,
        async () => ({ is: (fetches += 1) }),
      ),
    )!;
    await settled();
    expect([it.value, fetches]).to.deep.equal([null, 0]);
    for (const what of ['cost', 'strength']) {
      asked.value = what;
      await settled();
    }
    expect([it.value, fetches]).to.deep.equal([{ is: 1 }, 1]);
    scope.stop();
  });

  it('is asked for again where it did not come', async () => {
    const asked = ref<string | null>(null);
    const answers = [Promise.reject(new Error('away')), Promise.resolve('here')];
    const scope = effectScope();
    const it = scope.run(() =>
      useOnAsking(
        () => asked.value,
        () => answers.shift()!,
      ),
    )!;
    asked.value = 'cost';
    await settled();
    expect(it.value).to.equal(null);
    asked.value = 'strength';
    await settled();
    expect(it.value).to.equal('here');
    scope.stop();
  });

  for (const [how, answer] of [
    ['is here', () => Promise.resolve({ default: {} })],
    ['cannot be had', () => Promise.reject(new Error('away'))],
  ] as const)
    it(`holds nothing up once it ${how}`, async () => {
      const { isHere } = useFetched(answer);
      await nextTick();
      await settled();
      expect(isHere.value).to.equal(true);
    });
});
