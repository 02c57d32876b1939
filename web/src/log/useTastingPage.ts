import {
  blindPlan,
  evaluateBlind,
  type BlindKind,
  type BlindTest,
  type Scale,
} from '@ratio/core/tasting';
import { computed, ref, watch } from 'vue';
import { useLog } from './log.ts';
import { KIND_NAMES } from './kindNames.ts';
import { useBatches, useJugs } from '../events/index.ts';
import { dayName, listText } from '../format/index.ts';
import { useShop } from '../shop/index.ts';
import { newId, sentenceOf, useNotice } from '../sync/index.ts';

const QUESTIONS: Readonly<Record<BlindKind, string>> = {
  triangle: 'Two are the same. Which one is the odd one?',
  'duo-trio': 'The first one is the reference. Which of the other two is the same as it?',
  preference: 'Which one do you like better?',
};

/** Scores of what is on hand, and blind comparisons over several tasters on one tablet. */
export function useTastingPage() {
  const log = useLog();
  const shop = useShop();
  const batches = useBatches();
  const jugs = useJugs();
  const notice = useNotice();
  void log.load().catch(() => undefined);

  /** What can be tasted: jugs on hand, then the latest batches. */
  const tasted = computed(() => [
    ...jugs.onHand.map(({ id, label, coffeeName }) => ({
      value: id,
      label: listText([label, coffeeName]),
      kind: 'jug' as const,
    })),
    ...batches.past.slice(0, 20).map(({ id, coffeeName, startedAt }) => ({
      value: id,
      label: `${coffeeName}, ${dayName({ at: new Date(startedAt), zone: shop.zone })}`,
      kind: 'batch' as const,
    })),
  ]);
  const ofId = ref('');
  const of = computed(
    () => tasted.value.find(({ value }) => value === ofId.value) ?? tasted.value[0] ?? null,
  );
  watch(
    () => of.value?.value,
    (id) => {
      if (id !== undefined) void log.loadTastings(id).catch(() => undefined);
    },
    { immediate: true },
  );

  async function keep(said: {
    scores: Partial<Record<Scale, number>>;
    taster: string;
    note: string;
    served: 'cold' | 'hot';
    diluted: boolean;
  }): Promise<void> {
    const subject = of.value;
    if (!subject) return;
    const { scores, served, diluted, taster, note } = said;
    try {
      await log.taste(
        {
          id: newId(),
          of: subject.value,
          kind: subject.kind,
          taster,
          note,
          said: { scores, served, diluted },
        },
        `${subject.label}: tasted`,
      );
      notice.say({ tone: 'done', text: `${subject.label}: tasted.` });
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    }
  }

  const openId = ref<string | null>(null);
  const test = computed<BlindTest | null>(
    () => log.blindTests.find(({ id }) => id === openId.value) ?? null,
  );
  async function begin(kind: BlindKind, a: string, b: string, tasters: number): Promise<void> {
    const nameOf = (id: string): string =>
      tasted.value.find(({ value }) => value === id)?.label ?? id;
    const random = crypto.getRandomValues(new Uint32Array(1))[0]!;
    const document: BlindTest = {
      id: newId(),
      version: 0,
      kind,
      a: nameOf(a),
      b: nameOf(b),
      aId: a,
      bId: b,
      begunAt: shop.now.toISOString(),
      servings: blindPlan({ kind, tasters, seed: random }),
    };
    try {
      await log.saveBlindTest(document);
      openId.value = document.id;
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    }
  }
  async function answer(i: number, picked: number | null, taster: string): Promise<void> {
    const now = test.value;
    if (!now) return;
    const servings = now.servings.with(i, { ...now.servings[i]!, picked, taster });
    try {
      await log.saveBlindTest({ ...now, servings });
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    }
  }
  /** What a comparison came to, in plain words. */
  function verdictOf({ kind, servings, a, b }: BlindTest): string {
    const { answers, right, pFrac, least, isShown, powerFrac } = evaluateBlind(kind, servings);
    const of100 = (frac: number): string => `${Math.max(1, Math.round(100 * frac))} of 100`;
    const missed = `With ${answers} answers you would miss a difference that four of ten people tell in ${of100(1 - powerFrac)} tries.`;
    if (answers === 0) return 'Nobody has answered yet.';
    if (kind === 'preference') {
      const [better, many] = right * 2 >= answers ? [a, right] : [b, answers - right];
      return isShown
        ? `${better} is liked better: ${many} of ${answers} chose it, which chance alone does in ${of100(pFrac)} tries.`
        : `No preference is shown: ${right} of ${answers} chose ${a}${least === null ? '' : `, ${least} on one side would show one`}. ${missed}`;
    }
    return isShown
      ? `There is a difference: ${right} of ${answers} are right, which guessing does in ${of100(pFrac)} tries.`
      : `No difference is shown: ${right} of ${answers} are right${least === null ? ', and so few answers cannot show one' : `, ${least} would show one`}. ${missed}`;
  }
  return {
    tasted,
    ofId,
    of,
    keep,
    rows: computed(() => (of.value ? log.tastingsOf(of.value.value) : [])),
    test,
    openId,
    begin,
    answer,
    /** The first serving that nobody has answered; −1 where all have. */
    at: computed(() => test.value?.servings.findIndex(({ picked }) => picked === null) ?? -1),
    question: computed(() => (test.value ? QUESTIONS[test.value.kind] : '')),
    verdict: computed(() => (test.value ? verdictOf(test.value) : '')),
    tests: computed(() =>
      log.blindTests.map((one) => ({
        id: one.id,
        text: `${one.a} and ${one.b}`,
        kind: KIND_NAMES[one.kind].split(':')[0]!,
        done: one.servings.filter(({ picked }) => picked !== null).length,
        all: one.servings.length,
        verdict: one.servings.every(({ picked }) => picked !== null) ? verdictOf(one) : '',
      })),
    ),
  };
}
