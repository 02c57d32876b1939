import { expect } from 'chai';
import { usePeople } from '../../src/people/usePeople.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

const MARA = {
  id: 'mara',
  version: 2,
  name: 'Mara',
  role: 'brews',
  hasPin: true,
  hasPassword: false,
};
const TABLET = {
  id: 'bar',
  version: 1,
  name: 'Bar tablet',
  role: 'pours',
  pairedAt: '2026-06-12T06:00:00.000Z',
};

describe('usePeople', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (refused = false) =>
    withApp({
      browser,
      path: '/shelf/people',
      answers: ({ path, method }) => {
        if (method !== 'GET' && refused)
          return {
            status: 409,
            body: { detail: 'Somebody who leads has to be there.', status: 409 },
          };
        if (path === '/api/people') return { status: 200, body: [MARA] };
        if (path === '/api/devices') return { status: 200, body: [TABLET] };
        if (path.startsWith('/api/people/')) return { status: 200, body: MARA };
        if (path.startsWith('/api/devices/')) return { status: 200, body: {} };
        return path === '/api/access' ? { status: 200, body: {} } : null;
      },
      use: () => ({ ...usePeople(), notice: useNotice() }),
    });
  const last = () => browser.asked.findLast(({ method }) => method !== 'GET')!;

  it('writes a person at once, under an identity of their own, and says so', async () => {
    const people = await open();
    expect(await people.add({ name: 'Nia', role: 'pours', pin: '2468' })).to.equal(true);
    expect(last()).to.deep.include({ method: 'PUT', version: '"0"' });
    expect(last().body).to.deep.equal({ name: 'Nia', role: 'pours', pin: '2468' });
    expect(people.notice.shown?.text).to.equal('Nia can sign in.');
    expect(people.people.value.map(({ name }) => name)).to.deep.equal(['Mara']);
    // No secret is left in the browser.
    expect(JSON.stringify([...browser.storage.values()])).not.to.contain('2468');
  });

  it('changes and removes people and tablets in the version that was seen', async () => {
    const people = await open();
    await people.change(MARA as never, { role: 'leads' });
    expect(last()).to.deep.include({ path: '/api/people/mara', version: '"2"' });
    expect(last().body).to.deep.equal({ name: 'Mara', role: 'leads' });
    await people.remove(MARA as never);
    expect(last()).to.deep.include({ method: 'DELETE', path: '/api/people/mara' });
    await people.forget(TABLET as never);
    expect(last()).to.deep.include({ method: 'DELETE', path: '/api/devices/bar', version: '"1"' });
  });

  it('says why where it is refused, and stays as it was', async () => {
    const people = await open(true);
    expect(await people.askHere(true)).to.equal(false);
    expect(people.notice.shown).to.include({
      tone: 'wrong',
      text: 'Somebody who leads has to be there.',
    });
    expect(people.busy.value).to.equal(false);
  });

  it('says what is wrong with a field beside it, and nowhere else', async () => {
    const people = await withApp({
      browser,
      path: '/shelf/people',
      answers: ({ path, method }) => {
        const issues = [{ path: 'pin', message: 'A PIN has 4 to 8 digits.' }];
        const detail = 'pin: A PIN has 4 to 8 digits.';
        if (method === 'PUT') return { status: 400, body: { detail, status: 400, issues } };
        return path === '/api/people' || path === '/api/devices' ? { status: 200, body: [] } : null;
      },
      use: () => ({ ...usePeople(), notice: useNotice() }),
    });
    expect(await people.add({ name: 'Nia', role: 'pours', pin: '1' })).to.equal(false);
    expect(people.refusedOf('', 'pin')).to.equal('A PIN has 4 to 8 digits.');
    expect([people.refusedOf('', 'name'), people.refusedOf('mara', 'pin')]).to.deep.equal(['', '']);
    expect(people.notice.shown).to.equal(null);
    await people.change(MARA as never, { pin: '1' });
    expect([people.refusedOf('', 'pin'), people.refusedOf('mara', 'pin')]).to.deep.equal([
      '',
      'A PIN has 4 to 8 digits.',
    ]);
  });
});
