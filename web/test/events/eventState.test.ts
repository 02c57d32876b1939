import type { Plan } from '@ratio/core/batch';
import { correctableOf, type JugEntryRequest } from '@ratio/core/jug';
import { expect } from 'chai';
import fc from 'fast-check';
import { LIDO_MORNING, lidoBatches } from '../../../demo/lido.ts';
import { newId } from '../../src/sync/client.ts';
import { openTablets, type Tablet, type Tablets } from '../twoTablets.ts';

const HOUR_MS = 3_600_000;
const PLAN: Plan = {
  ...lidoBatches[0]!.plan,
  vesselId: 'any-vessel',
  filtration: { method: 'drain', rinseG: 0 },
};

/** Something that somebody does, with numbers from 0 to 1 that pick what it is done to and how much. */
interface Act {
  readonly kind: (typeof KINDS)[number];
  readonly which: number;
  readonly other: number;
  readonly share: number;
}
const KINDS = [
  'start',
  'start on grounds',
  'weigh',
  'pour water',
  'move',
  'spill',
  'give up',
  'strain',
  'strain as read',
  'split',
  'pour',
  'read',
  'thin',
  'blend',
  'count',
  'discard',
  'undo',
  'correct',
  'add',
] as const;
const frac = fc.double({ min: 0, max: 0.999, noNaN: true });
const act: fc.Arbitrary<Act> = fc.record({
  kind: fc.constantFrom(...KINDS),
  which: frac,
  other: frac,
  share: frac,
});

const picked = <T>(all: readonly T[], at: number): T | undefined =>
  all[Math.floor(at * all.length)];

/** Does something on a tablet, as its pages do. */
async function perform(tablet: Tablet, { kind, which, other, share }: Act): Promise<void> {
  const { batches, jugs, state } = tablet;
  const startedAt = new Date(Date.parse(LIDO_MORNING) - 24 * share * HOUR_MS).toISOString();
  if (kind === 'start' || kind === 'start on grounds') {
    const method = kind === 'start' ? 'drain' : 'on-grounds';
    const plan = { ...PLAN, doseG: 200 + 500 * which, filtration: { method, rinseG: 0 } } as Plan;
    return void (await batches.start({ id: newId(), plan, startedAt }, 'started'));
  }
  const noted = { id: newId(), note: 'so', step: null, instrumentId: null };
  const batch = picked(batches.steeping, which);
  if (batch) {
    const note = (request: object) =>
      batches.note(batch.id, { ...noted, ...request } as never, 'noted');
    const jugId = newId();
    const volumeMl = 100 + 800 * share;
    switch (kind) {
      case 'weigh':
        return note({ kind: 'weighed', massG: batch.plan.doseG * (0.8 + 0.4 * share) });
      case 'pour water':
        return note({ kind: 'poured', massG: 500 + 2000 * share, tempC: 20, step: 'bloom' });
      case 'move':
        return note({ kind: 'moved', place: 'counter', tempC: 20 + 5 * share });
      case 'spill':
        return note({ kind: 'spilled', massG: 2000 * share + 1 });
      case 'give up':
        return note({ kind: 'abandoned' });
      case 'strain':
        return batches.strain(batch, { jugs: [{ jugId, volumeMl }], strainedAt: LIDO_MORNING });
      case 'strain as read':
        return batches.strain(batch, {
          jugs: [{ jugId, volumeMl }],
          strengthFrac: 0.02 + 0.02 * share,
          strainedAt: LIDO_MORNING,
        });
      case 'split': {
        const shareFrac = 0.1 + 0.5 * share;
        const request = { id: newId(), vesselId: 'tall-jar', shareFrac, note: 'room' };
        return batches.split(batch.id, request, 'split');
      }
      default:
    }
  }
  if (kind === 'add') {
    const made = { onHandMl: 400 + 900 * share, strengthFrac: 0.03, madeAt: startedAt };
    return jugs.add({ id: newId(), label: 'Elsewhere', ...made });
  }
  const jug = picked(jugs.onHand, which);
  if (!jug) return;
  const enter = (request: object) =>
    jugs.enter(jug, { id: newId(), note: '', ...request } as JugEntryRequest);
  const entry = picked(
    state.now.entries.filter(({ jugId }) => jugId === jug.id),
    other,
  );
  switch (kind) {
    case 'pour':
      return enter({ kind: 'poured', massG: jug.onHandG * (0.1 + share) });
    case 'read':
      return enter({ kind: 'read', strengthFrac: 0.01 + 0.04 * share });
    case 'thin':
      return enter({ kind: 'watered', volumeMl: 10 + 300 * share });
    case 'count':
      return enter({ kind: 'counted', volumeMl: 1500 * share });
    case 'discard':
      return jugs.enter(jug, {
        id: newId(),
        kind: 'discarded',
        massG: 50 * share + 1,
        reason: 'old',
      });
    case 'blend': {
      const fromJugId = picked(jugs.onHand, other)!.id;
      return enter({ kind: 'blended', fromJugId, massG: 10 + 200 * share });
    }
    case 'undo':
      return entry && jugs.undo(jug, entry.id);
    case 'correct': {
      if (!entry) return;
      const isAmount = correctableOf(entry.kind).includes('amount');
      const really = isAmount ? { massG: 1 + 600 * share } : { strengthFrac: 0.03 };
      const request = { kind: 'corrected' as const, entryId: entry.id, reason: 'misread' };
      return jugs.enter(jug, { id: newId(), ...request, ...really });
    }
    default:
  }
}

/** What a tablet shows of batches and jugs, by identity. */
const shown = ({ batches, jugs }: Tablet) => ({
  batches: Object.fromEntries(batches.batches.map((one) => [one.id, one])),
  steeping: batches.steeping.map(({ id }) => id).toSorted(),
  jugs: Object.fromEntries(jugs.onHand.map((one) => [one.id, one])),
});

type Shown = ReturnType<typeof shown>;
/** Without batches that only one of them holds: of those that are over, a page reads the latest. */
function bothKnow(one: Shown, other: Shown): [Shown, Shown] {
  const common = (from: Shown, to: Shown): Shown => ({
    ...from,
    batches: Object.fromEntries(Object.entries(from.batches).filter(([id]) => id in to.batches)),
  });
  return [common(one, other), common(other, one)];
}

/** Compares numbers to 1e-12 of their size, and everything else as it is. */
function expectSame(one: unknown, other: unknown, path = ''): void {
  if (typeof one === 'number' && typeof other === 'number') {
    expect(Math.abs(one - other), path).to.be.at.most(1e-12 * Math.max(1, Math.abs(other)));
  } else if (typeof one === 'object' && one !== null && typeof other === 'object' && other) {
    const [a, b] = [one, other] as Record<string, unknown>[];
    // What the server keeps of a batch besides is read with it.
    const keys = (of: object) =>
      Object.keys(of)
        .filter((key) => key !== 'request')
        .toSorted();
    expect(keys(a!), path).to.deep.equal(keys(b!));
    for (const key of keys(a!)) expectSame(a![key], b![key], `${path}.${key}`);
  } else expect(one, path).to.equal(other);
}

async function send({ outbox }: Tablet): Promise<void> {
  for (let tries = 0; outbox.waiting.length > 0; tries++) {
    if (tries > 20) throw new Error(`It does not get through: ${outbox.stopped}`);
    await outbox.send();
  }
}

describe('what a page shows while writes wait', function () {
  this.timeout(60_000);
  let tablets: Tablets;
  before(async () => {
    tablets = await openTablets();
  });
  after(() => tablets.close());

  const runs = { numRuns: 25, seed: 20261202 };

  it('is what the server answers once it has them, whatever is lost on the way', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(act, { minLength: 1, maxLength: 14 }),
        fc.array(fc.boolean(), { minLength: 1, maxLength: 8 }),
        async (acts, losses) => {
          await tablets.clear();
          const tablet = await tablets.open();
          tablets.line = 'down';
          for (const one of acts) await perform(tablet, one);
          const before = shown(tablet);
          for (const isLost of losses) {
            tablets.line = isLost ? 'answer lost' : 'up';
            await tablet.outbox.send();
          }
          tablets.line = 'up';
          await send(tablet);
          await tablet.read();
          expectSame(...bothKnow(before, shown(tablet)));
        },
      ),
      runs,
    );
  });

  it('is what the server says after the page has read again, where another tablet came first', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(act, { minLength: 1, maxLength: 8 }),
        fc.array(act, { minLength: 1, maxLength: 8 }),
        async (here, there) => {
          await tablets.clear();
          const tablet = await tablets.open();
          tablets.line = 'down';
          for (const one of here) await perform(tablet, one);
          const kept = localStorage.getItem('ratio.outbox');
          const other = await tablets.open();
          for (const one of there) await perform(other, one).catch(() => undefined);
          if (kept !== null) localStorage.setItem('ratio.outbox', kept);
          tablets.line = 'up';
          await send(tablet);
          await tablet.read();
          const fresh = await tablets.open();
          expectSame(...bothKnow(shown(tablet), shown(fresh)));
        },
      ),
      { ...runs, numRuns: 10 },
    );
  });
});
