import { expect } from 'chai';
import { effectScope, ref } from 'vue';
import { useInPieces } from '../../src/composables/useInPieces.ts';

const idle = () => new Promise((resolve) => setTimeout(resolve, 60));

describe('useInPieces', () => {
  it('shows the first rows at once, and the rest when the page is idle', async () => {
    const rows = ref(Array.from({ length: 30 }, (_, i) => i));
    const scope = effectScope();
    const shown = scope.run(() => useInPieces(() => rows.value, 12))!;
    expect(shown.value).to.deep.equal(rows.value.slice(0, 12));
    await idle();
    expect(shown.value).to.have.length(24);
    await idle();
    expect(shown.value).to.deep.equal(rows.value);
    // A row that comes is there at once where all of them stand.
    rows.value = [...rows.value, 30];
    expect(shown.value).to.have.length(31);
    scope.stop();
  });

  it('waits for nothing where all of it fits', () => {
    const scope = effectScope();
    const shown = scope.run(() => useInPieces(() => [1, 2, 3], 12))!;
    expect(shown.value).to.deep.equal([1, 2, 3]);
    scope.stop();
  });
});
