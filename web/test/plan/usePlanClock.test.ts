import { expect } from 'chai';
import { ref } from 'vue';
import { usePlanClock } from '../../src/plan/usePlanClock.ts';
import { installBrowser } from '../browser.ts';
import { withPlan } from './planning.ts';

const MORNING = Date.parse('2026-06-13T06:40:00Z');

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
    expect(used.startMs.value).to.equal(MORNING);
    expect(when(used, 'strain')).to.include({ what: 'strain', when: 'Sun 01:40', alone: true });
    expect(used.manned.value).to.equal(false);
    expect(when(used, 'use by')!.when).to.equal('Sat 20 Jun');
  });

  it('says beside its fields what they do not: a start at night stays, the other ends they say', async () => {
    const { used } = await open();
    const beside = () =>
      used.timeline.value.filter(({ isInField }) => !isInField).map(({ what }) => what);
    expect(beside()).to.deep.equal(['strain', 'use by']);
    // 23:30 on the Saturday, strained on Sunday at half past five in the afternoon.
    used.setStart(Date.parse('2026-06-13T22:30:00Z'));
    expect(beside()).to.deep.equal(['start', 'strain', 'use by']);
  });

  it('offers what meets the crew: another start at the same extraction, another length at another', async () => {
    const { used, drafts } = await open();
    const texts = used.fits.value.map(({ text }) => text);
    expect(texts.some((text) => /^start .* the same$/.test(text))).to.equal(true);
    expect(texts.some((text) => /^\d.*\sh, strain .* extraction \d+\.\d\s%$/.test(text))).to.equal(
      true,
    );
    const moved = used.fits.value.find(({ text }) => text.startsWith('start'))!;
    drafts.commit({ startAt: new Date(moved.startMs).toISOString() });
    expect(used.manned.value).to.equal(true);
  });

  it('counts back from when it is to be ready', async () => {
    const { used } = await open();
    const readyMs = Date.parse('2026-06-15T06:00:00Z');
    used.setReady(readyMs);
    expect(used.readyMs.value).to.equal(readyMs);
    expect(used.startMs.value).to.be.below(Date.parse('2026-06-14T12:00:00Z'));
    used.setStart(null);
    expect(used.startMs.value).to.equal(MORNING);
  });

  it('keeps the hours of the steep through the night on which the clock goes back', async () => {
    const { used } = await open();
    // 25 October 2026, Lisbon: 02:00 comes twice. 18 h from 20:00 summer time end at 13:00.
    used.setStart(Date.parse('2026-10-24T19:00:00Z'));
    expect(when(used, 'strain')!.when).to.equal('Sun 13:00');
  });

  it('takes a start that is past for what it is, and says how long it has steeped', async () => {
    const { used } = await open();
    expect(used.pastText.value).to.equal('');
    used.setStart(Date.parse('2026-06-12T16:30:00Z'));
    expect(used.pastText.value).to.equal(
      'Began Fri 17:30: it has steeped for 14\u00a0h 10\u00a0min.',
    );
    expect(when(used, 'strain')!.when).to.equal('Sat 11:30');
  });
});
