import { expect } from 'chai';
import { PAGES } from '../../src/app/pages.ts';

describe('the pages', () => {
  it('have a title each, and an address that no other has', () => {
    const paths = PAGES.map(({ path }) => path);
    expect(new Set(paths).size).to.equal(paths.length);
    for (const { path, title } of PAGES) {
      expect(path).to.match(/^\/[a-z]/);
      expect(title, path).not.to.equal('');
    }
  });

  it('of people, copies, an old log and the set-up are for those who lead', () => {
    const leads = PAGES.filter(({ least }) => least === 'leads').map(({ path }) => path);
    expect(leads).to.have.members(['/shelf/people', '/shelf/backups', '/set-up', '/log/import']);
  });
});
