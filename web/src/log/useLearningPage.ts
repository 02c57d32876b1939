import { vesselNameOf, type BatchInFull } from '@ratio/core/batch';
import { learnedModel, modelOf } from '@ratio/core/brew';
import { measureNext, type Fit, type Measurement } from '@ratio/core/learn';
import { percentText } from '@ratio/core/units';
import { computed, ref } from 'vue';
import { useLog } from './log.ts';
import type { Learning } from './learn.worker.ts';
import { taughtBy, times, Z90 } from './taught.ts';
import { clockTime, dayName } from '../format/index.ts';
import { useDraft } from '../plan/index.ts';
import { useShop } from '../shop/index.ts';
import { newId, sentenceOf, useLoaded, useNotice } from '../sync/index.ts';

const REASONS: Readonly<Record<Fit['outliers'][number]['what'], string>> = {
  strength: 'the reading, the bag, the mill or the fridge was not as usual',
  slurry: 'the drop was warm, or taken before the stir',
  brew: 'the scale was off, or some was spilt or had not drained',
  scoop: 'the scoop was heaped or tapped down, or another grind was in it',
};
const FOUND: Readonly<Record<Fit['outliers'][number]['what'], string>> = {
  strength: 'read',
  slurry: 'read',
  brew: 'came out',
  scoop: 'scooped',
};
const MEASURES: Readonly<Record<Measurement['what'], (m: Measurement) => string>> = {
  'mid-steep': ({ atHours }) => `Read a drop ${atHours!.toFixed(0)} h into the next steep`,
  'after-strain': () => 'Read the next batch after its strain',
  probe: () => 'Put a probe into the fridge',
  mill: () => 'Note the mill’s setting with each batch',
  scoop: () => 'Weigh the coffee that you scoop',
};

const choicesOf = (all: string, names: readonly string[]) => [
  { value: '', label: all },
  ...[...new Set(names)].map((name) => ({ value: name, label: name })),
];

/** What was predicted, what was found, and what the log teaches by it. */
export function useLearningPage(learn: (batches: readonly BatchInFull[]) => Promise<Learning>) {
  const log = useLog();
  const shop = useShop();
  const drafts = useDraft();
  const notice = useNotice();
  const coffee = ref('');
  const vessel = ref('');

  const { loaded, state, failure, load } = useLoaded(async () => {
    const lately = await log.lately();
    return { batches: lately, learning: await learn(lately) };
  });
  const batches = computed(() => loaded.value?.batches ?? []);
  const learning = computed(() => loaded.value?.learning ?? null);
  void load();

  const points = computed(() =>
    batches.value.flatMap((batch) => {
      const { id, coffeeName, strengthBy, strengthFrac, predictedAtStrain, strainedAt } = batch;
      if (strengthBy !== 'reading' || !predictedAtStrain || strengthFrac === null || !strainedAt)
        return [];
      if (coffee.value !== '' && coffeeName !== coffee.value) return [];
      if (vessel.value !== '' && vesselNameOf(batch) !== vessel.value) return [];
      const day = dayName({ at: new Date(strainedAt), zone: shop.zone });
      return [
        {
          id,
          label: `${coffeeName}, ${day}`,
          atMs: Date.parse(strainedAt),
          predictedFrac: predictedAtStrain.strengthFrac,
          lowFrac: predictedAtStrain.strengthLowFrac,
          highFrac: predictedAtStrain.strengthHighFrac,
          foundFrac: strengthFrac,
          offFrac: strengthFrac / predictedAtStrain.strengthFrac - 1,
          isNamed: learning.value?.fit.outliers.some((one) => one.batchId === id) ?? false,
        },
      ];
    }),
  );
  /** How often the range held what came out, in words. */
  const held = computed(() => {
    const all = points.value.length;
    if (all === 0) return '';
    const inside = points.value.filter(
      ({ foundFrac, lowFrac, highFrac }) => foundFrac >= lowFrac && foundFrac <= highFrac,
    ).length;
    const of100 = Math.round((100 * inside) / all);
    const judged =
      all < 10
        ? 'Too few to judge: it should be 90 of 100.'
        : of100 < 80
          ? 'It should be 90: the ranges are too narrow, or something drifted.'
          : of100 > 97
            ? 'It should be 90: the ranges are wider than they need be. Learning narrows them.'
            : 'As it should be.';
    return `The range held ${inside} of ${all}, ${of100} of 100. ${judged}`;
  });
  const taught = computed(() => taughtBy(learning.value?.fit));
  const retained = computed(() =>
    Object.entries(learning.value?.fit.learned.retainedGPerG ?? {}).map(([method, known]) => {
      const book = modelOf({ solubleFrac: 0.2, robustaFrac: 0, decafFrac: 0 }).retainedGPerG[
        method as 'drain'
      ];
      return `${method}: ${(book + known.value).toFixed(2)} ± ${(Z90 * known.sigma).toFixed(2)} g per g, the handbook says ${book.toFixed(2)}`;
    }),
  );
  /** Water that goes without coffee, in words; empty before it was learned. */
  const loss = computed(() => {
    const known = learning.value?.fit.learned.lossFrac;
    if (!known) return '';
    const percent = (frac: number): string => `${(100 * frac).toFixed(1)} %`;
    const how = known.value < 0 ? 'comes in with wet bags' : 'goes without coffee';
    return `Of the water poured ${percent(Math.abs(known.value))} ± ${percent(Z90 * known.sigma)} ${how}; the handbook says none.`;
  });
  /** What a scoop holds, in words; empty where nobody has weighed one. */
  const scoop = computed(() => {
    const known = learning.value?.fit.learned.looseLog;
    return known ? `A scoop holds ${times(known)} times what the tables say.` : '';
  });
  const outliers = computed(() =>
    (learning.value?.fit.outliers ?? []).map((one) => {
      const batch = batches.value.find(({ id }) => id === one.batchId);
      const by = `${Math.abs(100 * one.offFrac).toFixed(0)} % ${one.offFrac < 0 ? 'below' : 'above'}`;
      const day = batch ? dayName({ at: new Date(batch.startedAt), zone: shop.zone }) : '';
      return {
        id: one.batchId,
        name: `${batch?.coffeeName ?? one.batchId}, ${day}`,
        text: `${FOUND[one.what]} ${by} the others; perhaps ${REASONS[one.what]}.`,
      };
    }),
  );
  /** The one thing to measure next, for the plan in hand. */
  const next = computed(() => {
    const { fit } = learning.value ?? {};
    if (!fit) return '';
    const id = drafts.plan.coffeeId;
    const known = fit.learned.coffees[id] ?? fit.learned.anyCoffee;
    // As the log teaches it: what was weighed often enough is known already.
    const model = learnedModel({
      model: modelOf(drafts.coffee),
      coffeeId: id,
      learned: fit.learned,
      version: 1,
    });
    const [best] = measureNext({ known, plan: drafts.startingPlan, model });
    if (!best) return '';
    const range = (frac: number): string => `±${(100 * Z90 * frac).toFixed(0)} %`;
    return `${MEASURES[best.what](best)}: the next strength of ${drafts.coffee.name} is then known to ${range(best.thenFrac)} instead of ${range(best.nowFrac)}.`;
  });

  async function accept(learned: Fit['learned'] | null, batchCount: number): Promise<void> {
    try {
      const before = shop.learned[0] ?? null;
      await log.accept({ id: newId(), learned, batchCount });
      notice.say({
        tone: 'done',
        text: learned
          ? `Batches are predicted by what ${batchCount} of them taught.`
          : 'Batches are predicted by the handbook.',
        undo: () =>
          log.accept({
            id: newId(),
            learned: before?.learned ?? null,
            batchCount: before?.batchCount ?? 0,
          }),
      });
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    }
  }
  return {
    state,
    failure,
    load,
    coffee,
    coffees: computed(() =>
      choicesOf(
        'every coffee',
        batches.value.map(({ coffeeName }) => coffeeName),
      ),
    ),
    vessel,
    vessels: computed(() => choicesOf('every vessel', batches.value.map(vesselNameOf))),
    /** When the mill was set again, between the first batch that is shown and the last. */
    millSetMs: computed(() => {
      const days = points.value.map(({ atMs }) => atMs);
      return (shop.document?.mill.setAt ?? [])
        .map((at) => Date.parse(at))
        .filter((atMs) => atMs >= Math.min(...days) && atMs <= Math.max(...days));
    }),
    points,
    held,
    taught,
    retained,
    loss,
    scoop,
    outliers,
    next,
    canAccept: computed(() => (learning.value?.batchCount ?? 0) > 0),
    batchCount: computed(() => learning.value?.batchCount ?? 0),
    acceptLearned: () =>
      learning.value && accept(learning.value.fit.learned, learning.value.batchCount),
    useVersion: (number: number) => {
      const version = shop.learned.find((one) => one.number === number);
      return accept(version?.learned ?? null, version?.batchCount ?? 0);
    },
    inUse: computed(() => {
      const [now] = shop.learned;
      if (!now?.learned) return 'The handbook’s values are in use.';
      return `Version ${now.number} is in use, from ${now.batchCount} batches.`;
    }),
    versions: computed(() =>
      shop.learned.slice(1).map(({ number, learned, batchCount, at }) => ({
        number,
        text: `${learned ? `version ${number}, from ${batchCount} batches` : 'the handbook'}, ${clockTime({ at: new Date(at), zone: shop.zone })}`,
      })),
    ),
    strength: percentText,
    dayOf: (atMs: number) => dayName({ at: new Date(atMs), zone: shop.zone }),
  };
}
