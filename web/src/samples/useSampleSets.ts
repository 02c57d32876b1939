import { MOST_SAMPLES, planOfSample, sampleSet, type SampleSet } from '@ratio/core/batch';
import { GRIND_NAMES } from '@ratio/core/coffee';
import { amountText } from '@ratio/core/units';
import { storeToRefs } from 'pinia';
import { computed, ref, watchEffect } from 'vue';
import { useRouter } from 'vue-router';
import { useSamples } from './samples.ts';
import { clockTime } from '../format/index.ts';
import { useDraft } from '../plan/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { newId, sentenceOf, useNotice, useStored } from '../sync/index.ts';

const HOUR_MS = 3_600_000;
const SMALL_JAR_G = 500;

/** A set of small jars made from the draft, and the sets that were started. */
export function useSampleSets() {
  const shop = useShop();
  const drafts = useDraft();
  const notice = useNotice();
  const samples = useSamples();
  const format = useAmountFormat();
  const router = useRouter();
  const { plan, coffee, model } = storeToRefs(drafts);
  watchEffect(drafts.fillIn);
  const busy = ref(false);
  void samples
    .load()
    .catch((error: unknown) => notice.say({ tone: 'wrong', text: sentenceOf(error) }));

  const jarId = useStored('ratio.samples.jar', '');
  const ratios = useStored('ratio.samples.ratios', [5, 7]);
  const grinds = useStored('ratio.samples.grinds', ['coarse', 'medium']);
  const hours = useStored('ratio.samples.hours', [18]);

  const jar = computed(
    () => shop.steepers.find(({ id }) => id === jarId.value) ?? shop.steepers.at(-1) ?? null,
  );
  const count = computed(() => ratios.value.length * grinds.value.length * hours.value.length);
  const jars = computed<SampleSet['jars']>(() => {
    if (!model.value || !jar.value || count.value < 1 || count.value > MOST_SAMPLES) return [];
    const made = sampleSet({
      plan: plan.value,
      model: model.value,
      jar: jar.value,
      ratios: ratios.value,
      grinds: grinds.value,
      hours: hours.value,
    });
    return made.map((sample) => ({ ...sample, score: null, note: '' }));
  });

  const mass = (massG: number): string =>
    massG < SMALL_JAR_G && format.value.units === 'metric'
      ? amountText({ figure: massG.toFixed(1), unit: 'g' })
      : format.value.mass(massG);
  const timeText = (atMs: number): string => clockTime({ at: new Date(atMs), zone: shop.zone });

  async function save(set: SampleSet, done: string): Promise<void> {
    busy.value = true;
    try {
      await samples.save(set);
      notice.say({ tone: 'done', text: done });
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
      await samples.load().catch(() => undefined);
    } finally {
      busy.value = false;
    }
  }

  /** Takes a jar's ratio, grind and hours into the plan of a whole batch. */
  async function take(from: Pick<SampleSet, 'plan' | 'jars'>, number: number): Promise<void> {
    const sample = from.jars.find((one) => one.number === number);
    if (!sample) return;
    drafts.takePlan(planOfSample({ plan: from.plan, sample }));
    await router.push('/plan');
  }

  return {
    shop,
    samples,
    coffee,
    jar,
    jarId,
    ratios,
    grinds,
    hours,
    count,
    jars,
    busy,
    mass,
    /** @returns when a jar is strained, from its hours */
    strainAt: (startedAt: string | null) => (after: number) =>
      startedAt === null ? `after ${after} h` : timeText(Date.parse(startedAt) + after * HOUR_MS),
    startedText: (startedAt: string | null): string =>
      startedAt === null ? '' : `since ${timeText(Date.parse(startedAt))}`,
    /** In their own order, whichever was tapped first. */
    pickGrinds(picked: readonly unknown[]): void {
      grinds.value = GRIND_NAMES.filter((one) => picked.includes(one));
    },
    async start(): Promise<void> {
      if (!jar.value || !coffee.value) return;
      const set: SampleSet = {
        id: newId(),
        version: 0,
        plan: plan.value,
        jarId: jar.value.id,
        jarName: jar.value.name,
        coffeeName: coffee.value.name,
        jars: jars.value,
        startedAt: shop.now.toISOString(),
      };
      await save(set, `${jars.value.length} jars are steeping.`);
    },
    score: (set: SampleSet, number: number, value: number | null): Promise<void> =>
      save(
        {
          ...set,
          jars: set.jars.map((one) => (one.number === number ? { ...one, score: value } : one)),
        },
        `Jar ${number}: ${value === null ? 'not tasted' : `${value} of 5`}.`,
      ),
    take,
    takeNew: (number: number) => take({ plan: plan.value, jars: jars.value }, number),
  };
}
