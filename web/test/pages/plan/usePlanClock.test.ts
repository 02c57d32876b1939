import { expect } from 'chai';
import { ref } from 'vue';
import { usePlanClock } from '../../../src/pages/plan/usePlanClock.ts';
import { installBrowser } from '../../browser.ts';
import { withPlan } from './planning.ts';

describe('usePlanClock', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (hours = 18) =>
    withPlan({
      browser,
      plan: { steep: [{ place: 'fridge', tempC: 4, hours }] },
      use: () => usePlanClock(ref(hours)),
    });
  const when = (used: ReturnType<typeof usePlanClock>, what: string) =>
    used.timeline.value.find((one) => one.what === what);

  it('begins now, and strains after the hours, alone in the night', async () => {
    // 07:40 at the lido on a Saturday; 18 h on it is 01:40.
    const { used } = await open();
    expect(used.startLocal.value).to.equal('2026-06-13T07:40');
    expect(when(used, 'strain')).to.deep.equal({ what: 'strain', when: 'Sun 01:40', alone: true });
    expect(used.manned.value).to.equal(false);
    expect(when(used, 'use by')!.when).to.equal('Sat 20 Jun');
  });

  it('offers what meets the crew: another start at the same extraction, another length at another', async () => {
    const { used, drafts } = await open();
    const texts = used.fits.value.map(({ text }) => text);
    expect(texts.some((text) => /^start .* same extraction$/.test(text))).to.equal(true);
    expect(texts.some((text) => /extraction [+−]\d+\.\d %$/.test(text))).to.equal(true);
    const moved = used.fits.value.find(({ text }) => text.startsWith('start'))!;
    drafts.commit({ startAt: new Date(moved.startMs).toISOString() });
    expect(used.manned.value).to.equal(true);
  });

  it('counts back from when it is to be ready', async () => {
    const { used } = await open();
    used.setReady('2026-06-15T07:00');
    expect(used.readyLocal.value).to.equal('2026-06-15T07:00');
    expect(used.startLocal.value < '2026-06-14T13:00').to.equal(true);
    used.setStart('');
    expect(used.startLocal.value).to.equal('2026-06-13T07:40');
  });

  it('keeps the hours of the steep through the night on which the clock goes back', async () => {
    const { used } = await open();
    // 25 October 2026, Lisbon: 02:00 comes twice. 18 h from 20:00 summer time end at 13:00.
    used.setStart('2026-10-24T20:00');
    expect(when(used, 'strain')!.when).to.equal('Sun 13:00');
  });

  it('says that a start has gone by', async () => {
    const { used } = await open();
    expect(used.late.value).to.equal(false);
    used.setStart('2026-06-13T06:00');
    expect(used.late.value).to.equal(true);
  });
});
