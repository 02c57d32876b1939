import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { LATELY_PATH, useBatches } from '../../src/events/batches.ts';
import { useOutbox } from '../../src/sync/outbox.ts';
import { useDraft } from '../../src/plan/draft.ts';
import { useShop } from '../../src/shop/shop.ts';
import { batchOf } from '../documents.ts';
import { installBrowser, type Handler } from '../browser.ts';
import { lidoShelf } from '../lidoShelf.ts';

const SAVED_BY_MS = 520;
const SAVED_AT = '2026-06-13T06:40:00.000Z';
const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

describe('useDraft', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  let drafts: ReturnType<typeof useDraft>;

  async function open(answer: Handler = lidoShelf): Promise<void> {
    browser.answer(answer);
    setActivePinia(createPinia());
    await useShop().load();
    drafts = useDraft();
    drafts.change({ coffeeId: 'lot-14', vesselId: 'tall-jar' });
  }
  beforeEach(async () => {
    browser.storage.clear();
    browser.asked.splice(0);
    await open();
  });

  const targetKeys = () => drafts.draft.targets.map(({ key }) => key);

  it('begins with its ratio and its coffee as targets', () => {
    expect(targetKeys()).to.deep.equal(['ratio', 'doseG']);
    expect(drafts.amounts?.ratio).to.be.closeTo(5, 1e-9);
  });

  it('lets everything follow an amount that is set', () => {
    drafts.setAmount('waterG', 6000);
    expect(drafts.plan).to.include({ waterG: 6000 });
    expect(drafts.plan.doseG).to.be.closeTo(1200, 1e-9);
    expect(targetKeys()).to.deep.equal(['waterG', 'ratio']);
  });

  it('solves for a target brew and a target strength', () => {
    drafts.setAmount('brewMl', 3000);
    drafts.setAmount('strengthFrac', 0.032);
    expect(drafts.amounts?.brewMl).to.be.closeTo(3000, 1e-5);
    expect(drafts.amounts?.strengthFrac).to.be.closeTo(0.032, 1e-10);
  });

  it('tells its batch that the coffee is scooped, and is weighed again when it is said in grams', () => {
    expect(drafts.startingPlan).not.to.have.property('scooped');
    drafts.setAmount('doseG', 600, { scooped: true });
    expect(drafts.startingPlan).to.deep.equal({ ...drafts.plan, scooped: true });
    const before = drafts.startingPlan;
    drafts.setAmount('doseG', 610, { scooped: false });
    expect(drafts.startingPlan).not.to.have.property('scooped');
    // The plan of a scooped batch, brewed again.
    drafts.takePlan(before);
    expect(drafts.draft.scooped).to.equal(true);
    expect(drafts.plan).not.to.have.property('scooped');
  });

  it('keeps a target strength through another grind', () => {
    drafts.setAmount('strengthFrac', 0.033);
    drafts.change({ grind: 'medium' });
    expect(drafts.amounts?.strengthFrac).to.be.closeTo(0.033, 1e-10);
    expect(drafts.plan.grind).to.equal('medium');
  });

  it('changes nothing where an amount contradicts a locked one, and says which', () => {
    drafts.lock('ratio');
    const before = drafts.plan;
    drafts.setAmount('strengthFrac', 0.05);
    expect(drafts.plan).to.equal(before);
    expect(drafts.conflict?.key).to.equal('strengthFrac');
    expect(drafts.conflict?.solution.status).to.equal('contradiction');
    drafts.lock('ratio');
    expect(drafts.conflict).to.equal(null);
  });

  it('says between what a strength lies that cannot be had', () => {
    drafts.setAmount('strengthFrac', 0.3);
    expect(drafts.conflict?.solution.status).to.equal('out_of_reach');
  });

  it('refuses at its field what would be more than a batch holds', () => {
    const before = drafts.plan;
    drafts.setAmount('waterG', 400_000);
    expect(drafts.plan).to.equal(before);
    expect(drafts.conflict?.solution).to.include({
      status: 'too_much',
      of: 'doseG',
      mostG: 50_000,
    });
  });

  it('keeps the amounts as they are when a choice makes the targets impossible', () => {
    drafts.setAmount('strengthFrac', 0.08);
    const { doseG, waterG } = drafts.plan;
    drafts.change({ steep: [{ place: 'fridge', tempC: 1, hours: 0.25 }], grind: 'extra-coarse' });
    expect(drafts.plan).to.include({ doseG, waterG, grind: 'extra-coarse' });
    expect(targetKeys()).to.deep.equal(['doseG', 'waterG']);
  });

  it('keeps itself through a reload', async () => {
    drafts.setAmount('doseG', 777);
    await nextTick();
    setActivePinia(createPinia());
    await useShop().load();
    expect(useDraft().plan.doseG).to.equal(777);
  });

  it('begins a new plan by the shop’s defaults', () => {
    drafts.setAmount('doseG', 500);
    drafts.change({
      vesselId: 'small-jar',
      waterC: 40,
      filtration: { method: 'press', rinseG: 90 },
    });
    drafts.commit({ startAt: '2026-06-12T17:00:00.000Z' });
    drafts.restart();
    expect(drafts.plan).to.include({
      grind: 'coarse',
      doseG: 850,
      waterG: 4250,
      coffeeId: 'lot-14',
      vesselId: 'tall-jar',
      waterC: 12,
    });
    // Nothing of the one before is in it.
    expect(drafts.draft.startAt).to.equal(null);
    expect(drafts.plan.filtration).to.deep.equal({ method: 'drain', rinseG: 0 });
    expect(drafts.plan.steep).to.deep.equal([{ place: 'fridge', hours: 18, tempC: 4 }]);
  });

  describe('saving', () => {
    const saves = () =>
      browser.asked.filter(
        ({ method, path }) => method === 'PUT' && path.endsWith(drafts.draft.id),
      );
    const saving =
      (
        put: (body: unknown, version: string | null) => { status: number; body: unknown },
      ): Handler =>
      (request) =>
        request.method === 'PUT' ? put(request.body, request.version) : lidoShelf(request);
    const savesIt = saving((body) => ({
      status: 200,
      body: { ...(body as object), id: drafts.draft.id, version: 1, savedAt: SAVED_AT },
    }));
    const hasAlready = (current: object): Handler =>
      saving(() => ({ status: 412, body: { detail: 'stale', code: 'stale', current } }));
    const isBatch =
      (batch: ReturnType<typeof batchOf>): Handler =>
      (request) =>
        request.path === LATELY_PATH ? { status: 200, body: [batch] } : lidoShelf(request);

    it('waits for a pause, sends the version that it saw, and takes the new one', async () => {
      browser.answer(savesIt);
      drafts.setAmount('doseG', 800);
      drafts.setAmount('doseG', 810);
      await wait(SAVED_BY_MS);
      expect(saves()).to.have.length(1);
      expect(saves()[0]).to.deep.include({ version: '"0"' });
      expect(drafts.draft).to.include({ version: 1, unsaved: false });
    });

    it('keeps both where another tablet was first, until one is chosen', async () => {
      const other = {
        ...drafts.draft,
        id: drafts.draft.id,
        version: 4,
        plan: { ...drafts.plan, doseG: 600 },
        savedAt: SAVED_AT,
      };
      browser.answer(hasAlready(other));
      drafts.setAmount('doseG', 700);
      await wait(SAVED_BY_MS);
      expect(drafts.theirs?.plan.doseG).to.equal(600);
      expect(drafts.plan.doseG).to.equal(700);
      drafts.settle('mine');
      expect(drafts.draft).to.include({ version: 4, unsaved: true });
      expect(drafts.plan.doseG).to.equal(700);
    });

    it('takes the other version when it is chosen', async () => {
      const other = {
        ...drafts.draft,
        version: 4,
        plan: { ...drafts.plan, doseG: 600 },
        savedAt: SAVED_AT,
      };
      browser.answer(hasAlready(other));
      drafts.setAmount('doseG', 700);
      await wait(SAVED_BY_MS);
      drafts.settle('theirs');
      expect(drafts.plan.doseG).to.equal(600);
      expect(drafts.draft).to.include({ version: 4, unsaved: false });
    });

    it('is another one, under an identity of its own, where it was started meanwhile', async () => {
      const { id } = drafts.draft;
      const started = { detail: 'This plan is started.', code: 'already_exists', status: 409 };
      browser.answer(saving(() => ({ status: 409, body: started })));
      drafts.setAmount('doseG', 700);
      await wait(SAVED_BY_MS);
      expect(drafts.draft.id).not.to.equal(id);
      expect(drafts.draft).to.include({ version: 0, unsaved: true });
      expect(drafts.plan.doseG).to.equal(700);
    });

    it('is gone from this tablet too once another one started it', async () => {
      browser.answer(savesIt);
      drafts.setAmount('doseG', 700);
      await wait(SAVED_BY_MS);
      const { id } = drafts.draft;
      browser.answer(lidoShelf);
      await drafts.load();
      expect(drafts.draft.id).not.to.equal(id);
      expect(drafts.plan.doseG).to.equal(850);
    });

    for (const { name, typedOnG, expectedG } of [
      { name: 'as it is', typedOnG: null, expectedG: 850 },
      { name: 'as it was, where somebody typed on', typedOnG: 650, expectedG: 650 },
    ])
      it(`gives way after a reload that came before the answer to its start: ${name}`, async () => {
        drafts.setAmount('doseG', 700);
        const { id } = drafts.draft;
        const batch = batchOf({ id, plan: drafts.plan });
        if (typedOnG !== null) drafts.setAmount('doseG', typedOnG);
        browser.answer(isBatch(batch));
        await useBatches().load();
        await drafts.load();
        expect(drafts.draft.id).not.to.equal(id);
        expect(drafts.plan.doseG).to.equal(expectedG);
      });

    it('has no other version to settle once it was started', async () => {
      const { id } = drafts.draft;
      const other = { ...drafts.draft, version: 4, savedAt: SAVED_AT };
      browser.answer(hasAlready(other));
      drafts.setAmount('doseG', 700);
      await wait(SAVED_BY_MS);
      expect(drafts.theirs).not.to.equal(null);
      const batch = batchOf({ id, plan: drafts.plan });
      browser.answer(isBatch(batch));
      await useBatches().load();
      await drafts.load();
      expect(drafts.draft.id).not.to.equal(id);
      expect(drafts.theirs).to.equal(null);
    });

    it('asks the batches before it takes what is not saved for another one', async () => {
      // Saved once, changed, started on another tablet; what this tablet knows of the batches is older.
      browser.answer(savesIt);
      drafts.setAmount('doseG', 600);
      await wait(SAVED_BY_MS);
      drafts.setAmount('doseG', 700);
      const batch = batchOf({ id: drafts.draft.id, plan: drafts.plan });
      browser.answer(isBatch(batch));
      await drafts.load();
      expect(drafts.draft.id).not.to.equal(batch.id);
      expect(drafts.plan.doseG).to.equal(850);
    });

    it('is not taken from an older answer that comes after a newer one', async () => {
      const stale = { ...drafts.draft, id: 'stale', version: 1, savedAt: SAVED_AT };
      const { unsaved: _, ...body } = stale;
      let hasDraft = true;
      browser.answer((request) =>
        request.path === '/api/drafts' && request.method === 'GET'
          ? { status: 200, body: hasDraft ? [body] : [] }
          : lidoShelf(request),
      );
      drafts.restart();
      const { fetch } = globalThis;
      globalThis.fetch = async (...asked) => {
        globalThis.fetch = fetch;
        const answer = await fetch(...asked);
        await wait(20);
        return answer;
      };
      const older = drafts.load();
      hasDraft = false;
      await Promise.all([older, drafts.load()]);
      expect(drafts.draft.id).not.to.equal('stale');
    });

    it('says why where the server refuses it, and does not send it again and again', async () => {
      const refused = { detail: 'The water is too much.', code: 'bad_body', status: 400 };
      browser.answer(saving(() => ({ status: 400, body: refused })));
      drafts.setAmount('doseG', 700);
      await wait(SAVED_BY_MS);
      expect(drafts.refusal).to.equal('The water is too much.');
      const before = saves().length;
      await wait(SAVED_BY_MS);
      expect(saves()).to.have.length(before);
    });

    it('stays unsaved, and says so, while no server answers', async () => {
      browser.answer(saving(() => ({ status: 0, body: null })));
      drafts.setAmount('doseG', 700);
      await wait(SAVED_BY_MS);
      drafts.setAmount('doseG', 720);
      await wait(SAVED_BY_MS);
      // It waits with all other writes, once, as it was typed last.
      const { waiting } = useOutbox();
      expect(waiting).to.have.length(1);
      expect(waiting[0]).to.deep.include({ what: 'The plan', version: 0 });
      expect(waiting[0]!.body).to.have.nested.property('plan.doseG', 720);
      browser.answer(savesIt);
      await useOutbox().send();
      expect(useOutbox().waiting).to.have.length(0);
    });

    it('is not told that another tablet changed it while its own write is on its way', async () => {
      let version = 0;
      browser.answer(
        saving((body, seen) => {
          if (seen !== `"${version}"`)
            return { status: 412, body: { detail: 'stale', code: 'stale', current: null } };
          version += 1;
          return { status: 200, body: { ...(body as object), id, version, savedAt: SAVED_AT } };
        }),
      );
      const { id } = drafts.draft;
      const { fetch } = globalThis;
      globalThis.fetch = async (...asked) => {
        await wait(SAVED_BY_MS + 200);
        return fetch(...asked);
      };
      drafts.setAmount('doseG', 700);
      await wait(SAVED_BY_MS);
      drafts.setAmount('doseG', 720);
      await wait(3 * SAVED_BY_MS + 600);
      globalThis.fetch = fetch;
      expect(drafts.theirs).to.equal(null);
      expect(drafts.draft).to.include({ id, version: 2, unsaved: false });
    });

    it('is not sent before it has a coffee and a vessel', async () => {
      browser.answer(savesIt);
      drafts.change({ coffeeId: '', vesselId: '' });
      drafts.setAmount('doseG', 700);
      await wait(SAVED_BY_MS);
      expect(saves()).to.have.length(0);
    });

    it('gives way in a second tab that holds it from between two changes of the first', async () => {
      browser.answer(savesIt);
      drafts.setAmount('doseG', 300);
      await nextTick();
      // The second tab reads what the browser stores, and so as not saved yet.
      setActivePinia(createPinia());
      await useShop().load();
      const [second, batches] = [useDraft(), useBatches()];
      expect(second.draft).to.include({ id: drafts.draft.id, unsaved: true });
      drafts.change({ vesselId: 'wide-jar' });
      const batch = batchOf({ id: drafts.draft.id, plan: drafts.plan });
      browser.answer(isBatch(batch));
      await batches.load();
      await second.load();
      expect(second.plan.doseG).to.equal(850);
      expect(second.draft).to.include({ version: 0, unsaved: false });
    });
  });
});
