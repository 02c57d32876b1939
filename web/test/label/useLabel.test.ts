import { expect } from 'chai';
import { useLabel } from '../../src/label/useLabel.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

describe('useLabel', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const labelOf = async (query: string) =>
    (await withApp({ browser, path: `/label?${query}`, use: useLabel })).label.value;

  it('of a jug says to dilute it, and its own date', async () => {
    const label = await labelOf('jug=one');
    expect(label).to.include({ title: 'Jug 1', made: 'Fri 12 Jun', useBy: 'Thu 18 Jun' });
    expect(label!.what).to.contain('3.50').and.to.contain('dilute before');
    expect(label!.keep).to.match(/^5\s°C or colder/);
  });

  it('of a house recipe that was made says since when, and what it contains', async () => {
    // Made on 9 June, seven days with that day as the first.
    expect(await labelOf('recipe=rosemary-syrup')).to.include({
      title: 'Rosemary syrup',
      made: 'Tue 9 Jun',
      useBy: 'Mon 15 Jun',
      contains: 'none of the listed allergens',
    });
  });

  it('of a house recipe that is not on hand is for one made now; foam for the same day', async () => {
    expect(await labelOf('recipe=salt-foam')).to.include({
      made: 'Sat 13 Jun',
      useBy: 'Sat 13 Jun',
      contains: 'milk',
    });
  });

  it('of cubes says to keep them frozen', async () => {
    expect((await labelOf('recipe=coffee-cubes'))!.keep).to.match(/^frozen, −18\s°C$/);
  });

  it('is none for what is not there', async () => {
    expect(await labelOf('recipe=moon-syrup')).to.equal(null);
    expect(await labelOf('jug=gone')).to.equal(null);
  });
});
