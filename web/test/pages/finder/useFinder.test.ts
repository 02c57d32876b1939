import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { ref } from 'vue';
import { useFinder } from '../../../src/pages/finder/useFinder.ts';
import { useDrinks } from '../../../src/stores/drinks.ts';
import { useShop } from '../../../src/stores/shop.ts';
import { installBrowser } from '../../browser.ts';
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

  it('finds nothing for what is not there, and never more than eight', () => {
    const sought = ref('');
    const { found } = useFinder(sought);
    expect(found.value).to.have.length(8);
    sought.value = 'teapot';
    expect(found.value).to.deep.equal([]);
  });
});
