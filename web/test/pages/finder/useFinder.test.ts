import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { ref } from 'vue';
import { useFinder } from '../../../src/pages/finder/useFinder.ts';
import { LATELY_PATH, useBatches } from '../../../src/stores/batches.ts';
import { useDrinks } from '../../../src/stores/drinks.ts';
import { useJugs } from '../../../src/stores/jugs.ts';
import { useShop } from '../../../src/stores/shop.ts';
import { installBrowser } from '../../browser.ts';
import { batchOf, jugOf } from '../../documents.ts';
import { lidoShelf } from '../../lidoShelf.ts';

describe('useFinder', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  beforeEach(async () => {
    browser.storage.clear();
    browser.answer(lidoShelf);
    setActivePinia(createPinia());
    await Promise.all([useShop().load(), useDrinks().load()]);
  });

  for (const [sought, first] of [
    ['', 'The day'],
    ['coco drink', 'Coconut cove'],
    ['14 nat', 'Lot 14, natural'],
    ['JAR vessel', 'Tall jar 6 L'],
    ['small', 'Small jars first'],
    ['soy ingredient', 'Soy drink'],
  ] as const)
    it(`finds “${sought}”`, () => {
      const { found } = useFinder(ref(sought));
      expect(found.value[0]?.name).to.equal(first);
    });

  it('names a batch by where it stands now, and a jug of no known coffee by its label alone', async () => {
    const moved = batchOf({ movedTo: { vesselId: 'pitcher', vesselName: 'Pitcher 2 L' } });
    const answers: Record<string, unknown[]> = {
      [LATELY_PATH]: [moved],
      '/api/jugs': [jugOf({ coffeeName: '' })],
    };
    browser.answer((request) => {
      const body = answers[request.path];
      return body ? { status: 200, body } : lidoShelf(request);
    });
    await Promise.all([useBatches().load(), useJugs().load()]);
    const nameOf = (sought: string) => useFinder(ref(sought)).found.value[0]?.name;
    expect(nameOf('pitcher steeping')).to.equal(`${moved.coffeeName} in Pitcher 2 L`);
    expect(nameOf('jug 1')).to.equal('Jug 1');
  });

  it('finds nothing for what is not there, and never more than eight', () => {
    const sought = ref('');
    const { found } = useFinder(sought);
    expect(found.value).to.have.length(8);
    sought.value = 'teapot';
    expect(found.value).to.deep.equal([]);
  });
});
