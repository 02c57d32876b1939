import { expect } from 'chai';
import { useJug } from '../../src/jug/useJug.ts';
import { installBrowser } from '../browser.ts';
import { jugOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

describe('useJug', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const strong = jugOf({ id: 'two', label: 'Jug 2', strengthFrac: 0.04, onHandG: 300 });
  const open = () =>
    withApp({
      browser,
      path: '/jugs/one',
      use: useJug,
      jugs: [jugOf({ strengthFrac: 0.03 }), strong],
      answers: ({ path }) => (path.endsWith('/entries') ? { status: 200, body: jugOf() } : null),
    });

  it('works out the water, the blend and the stretch before they are done', async () => {
    const { thinTo, blendWith, stretchTo } = await open();
    // By hand: 1000 (3.0 / 2.5 − 1) = 200; 1000 (3.2 − 3.0) / (4.0 − 3.2) = 250; 30 g in 1200 g.
    expect(thinTo(0.025).addG).to.be.closeTo(200, 1e-9);
    expect(blendWith(strong, 0.032)).to.include({ wrong: '' });
    expect(blendWith(strong, 0.032).addG).to.be.closeTo(250, 1e-9);
    expect(stretchTo(1200)).to.deep.equal({ addG: 200, afterG: 1200, afterFrac: 0.025, wrong: '' });
  });

  it('says why something cannot be done', async () => {
    const { thinTo, blendWith, stretchTo } = await open();
    expect(thinTo(0.035).wrong).to.contain('weaker than that already');
    expect(blendWith(strong, 0.05).wrong).to.contain('between the two');
    expect(blendWith(strong, 0.036).wrong).to.match(
      /^Jug 2 holds 300.g, and this takes \d+.g of it\.$/u,
    );
    expect(stretchTo(900).wrong).to.contain('more in it');
    expect(thinTo(0.008).wrong).to.match(/would be 3\.7\d\sL, and the jug holds 3\.00\sL/);
    expect(stretchTo(2900).wrong).to.equal('');
    expect(stretchTo(3200).wrong).to.contain('Draw some off first');
  });

  it('says which drinks a weaker jug loses', async () => {
    const { menuAt } = await open();
    const [now, weak] = [menuAt(0.03, 1000), menuAt(0.014, 2000)];
    expect(now.short).to.deep.equal(['Deep end']);
    expect(weak.short).to.include.members(['Lido black', 'Night swim, nitrogen']);
    expect(weak.met).to.be.below(now.met);
  });

  it('sends what is done with an identity of its own', async () => {
    const { enter } = await open();
    await enter({ kind: 'watered', massG: 200, note: 'down to 2.5 %' }, 'done');
    const sent = browser.asked.find(({ method }) => method === 'POST')!;
    expect(sent.path).to.equal('/api/jugs/one/entries');
    expect(sent.body).to.include({ kind: 'watered', massG: 200 });
    expect(sent.body).to.have.property('id').with.length(36);
  });
});
