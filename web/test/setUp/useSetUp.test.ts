import { expect } from 'chai';
import { useSetUp } from '../../src/setUp/useSetUp.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

describe('useSetUp', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (status = 200) =>
    withApp({
      browser,
      path: '/set-up',
      answers: ({ method, body, path }) => {
        if (method !== 'PUT') return null;
        const told = { ...(body as object), id: path.split('/').at(-1), version: 1 };
        return { status, body: status === 200 ? told : { detail: 'No.' } };
      },
      use: useSetUp,
    });

  it('keeps each answer as it is given, and goes on', async () => {
    const { at, coffee, vessel, saveCoffee, saveVessel } = await open();
    coffee.value = { name: 'Sea wall', roast: 'dark', pricePerKg: null };
    await saveCoffee();
    vessel.value = { name: 'Tall jar', brimMl: 6000 };
    await saveVessel();
    expect(at.value).to.equal(2);
    const puts = browser.asked.filter(({ method }) => method === 'PUT');
    expect(puts[0]!.body).to.include({ name: 'Sea wall', roast: 'dark', pricePerKg: null });
    expect(puts[1]!.body).to.include({ name: 'Tall jar', brimMl: 6000, use: 'steep' });
  });

  it('stays where it is when an answer is refused', async () => {
    const { at, coffee, saveCoffee } = await open(422);
    coffee.value = { name: 'Sea wall', roast: 'dark', pricePerKg: null };
    await saveCoffee();
    expect(at.value).to.equal(0);
    expect(coffee.value.name).to.equal('Sea wall');
  });
});
