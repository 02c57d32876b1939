import type { PlanOutcome } from '@ratio/core/batch';
import type { Ref } from 'vue';
import { useDraft } from './draft.ts';
import type { OfferedFit } from './usePlanClock.ts';

const SHORTEST_PIECE_H = 0.25;

/** Edits of the draft that are made on its drawing, its chart and its drinks. */
export function usePlanEdits(input: {
  hours: Readonly<Ref<number>>;
  result: Readonly<Ref<PlanOutcome | null>>;
  pours: Readonly<Ref<readonly { drink: { id: string }; eachG: number | null }[]>>;
}) {
  const { hours, result, pours } = input;
  const drafts = useDraft();

  /** The whole steep in so many hours: its last place takes what is left. */
  function setHours(whole: number): void {
    const { steep } = drafts.plan;
    const last = steep.at(-1);
    if (!last) return;
    const rest = whole - (hours.value - last.hours);
    drafts.change({
      steep: [...steep.slice(0, -1), { ...last, hours: Math.max(SHORTEST_PIECE_H, rest) }],
    });
  }

  return {
    setHours,
    setLevel: (volumeMl: number) => drafts.setAmount('fillMl', volumeMl),
    takeFit(fit: OfferedFit): void {
      if (fit.steepHours !== hours.value) setHours(fit.steepHours);
      drafts.commit({ startAt: new Date(fit.startMs).toISOString() });
    },
    /** So many of a drink: the brew that it takes at the strength of now, as a target. */
    setDrinks(drinkId: string, count: number): void {
      const brew = result.value?.outcome;
      const per = pours.value.find(({ drink }) => drink.id === drinkId)?.eachG;
      if (brew && per) drafts.setAmount('brewMl', (count * per * brew.brewMl) / brew.brewG);
    },
  };
}
