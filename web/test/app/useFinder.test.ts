import { expect } from 'chai';
import type { Jug } from '@ratio/core/jug';
import { ref, type Ref } from 'vue';
import { useFinder } from '../../src/app/useFinder.ts';
import { LATELY_PATH, useBatches } from '../../src/events/batches.ts';
import { installBrowser } from '../browser.ts';
import { batchOf, jugOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

describe('useFinder', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const moved = batchOf({ movedTo: { vesselId: 'pitcher', vesselName: 'Pitcher 2 L' } });
  const open = (sought: Ref<string>, jugs: readonly Jug[] = []) =>
    withApp({
      browser,
      path: '/',
      jugs,
      answers: ({ path }) => (path === LATELY_PATH ? { status: 200, body: [moved] } : null),
      use: () => ({ ...useFinder(sought), batches: useBatches() }),
    });

  for (const [sought, first] of [
    ['', 'The day'],
    ['coco drink', 'Coconut cove'],
    ['14 nat', 'Lot 14, natural'],
    ['JAR vessel', 'Tall jar 6 L'],
    ['small', 'Small jars first'],
    ['soy ingredient', 'Soy drink'],
  ] as const)
    it(`finds “${sought}”`, async () => {
      const { found } = await open(ref(sought));
      expect(found.value[0]?.name).to.equal(first);
    });

  it('names a batch by where it stands now, and a jug of no known coffee by its label alone', async () => {
    const sought = ref('pitcher steeping');
    const { found, batches } = await open(sought, [jugOf({ coffeeName: '' })]);
    await batches.load();
    expect(found.value[0]?.name).to.equal(`${moved.coffeeName} in Pitcher 2 L`);
    sought.value = 'jug 1';
    expect(found.value[0]?.name).to.equal('Jug 1');
  });

  it('finds nothing for what is not there, and never more than eight', async () => {
    const sought = ref('');
    const { found } = await open(sought);
    expect(found.value).to.have.length(8);
    sought.value = 'teapot';
    expect(found.value).to.deep.equal([]);
  });
});
