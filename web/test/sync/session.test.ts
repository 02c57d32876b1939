import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { useSession } from '../../src/sync/session.ts';
import { installBrowser } from '../browser.ts';

const session = {
  needsSignIn: false,
  name: 'Bar tablet',
  role: 'pours',
  device: 'Bar tablet',
  people: [{ id: 'mara', name: 'Mara' }],
  signInHere: false,
};

describe('useSession', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  beforeEach(() => {
    browser.storage.clear();
    browser.asked.splice(0);
    browser.answer(() => ({ status: 200, body: session }));
    setActivePinia(createPinia());
  });

  it('lets somebody do what their role takes, and no more', async () => {
    const store = useSession();
    await store.load();
    expect([store.can('pours'), store.can('brews'), store.can('leads')]).to.deep.equal([
      true,
      false,
      false,
    ]);
  });

  it('is who it was while the server is away', async () => {
    await useSession().load();
    browser.answer(() => ({ status: 0, body: null }));
    setActivePinia(createPinia());
    await useSession().load();
    expect(useSession().session?.name).to.equal('Bar tablet');
  });

  it('becomes somebody by a PIN, and nobody again; a wrong one changes nothing', async () => {
    const store = useSession();
    await store.load();
    browser.answer(() => ({ status: 201, body: { ...session, name: 'Mara', role: 'leads' } }));
    await store.signIn({ personId: 'mara', pin: '2468' });
    expect(store.can('leads')).to.equal(true);
    expect(browser.asked.at(-1)).to.deep.include({
      method: 'POST',
      path: '/api/session',
      body: { personId: 'mara', pin: '2468' },
    });
    browser.answer(() => ({ status: 403, body: { detail: 'That PIN is not theirs.' } }));
    const refused = await store
      .signIn({ personId: 'mara', pin: '0000' })
      .catch((error: Error) => error.message);
    expect(refused).to.equal('That PIN is not theirs.');
    expect(store.session?.name).to.equal('Mara');
    // A secret is nowhere in the browser's storage.
    expect(JSON.stringify([...browser.storage.values()])).not.to.contain('2468');
  });
});
