import { planInput } from '../batch/plan.ts';
import { steepHoursOf } from '../batch/steepHours.ts';
import type { Plan } from '../batch/schema.ts';
import { brew } from '../brew/brew.ts';
import type { BrewModel } from '../brew/model.ts';
import { GRIND_NAMES } from '../coffee/grinds.ts';

/** Something to do otherwise next time: why, and what it comes to. */
export interface NextTime {
  readonly way:
    'leaner' | 'stronger' | 'longer' | 'shorter' | 'coarser' | 'finer' | 'paper' | 'same';
  readonly why: 'weaker' | 'stronger' | 'bitter' | 'sour' | 'muddy' | 'liked';
  readonly plan: Plan;
  /** Strength that it leads to, and that of the same plan again. */
  readonly strengthFrac: number;
  readonly sameFrac: number;
}

/** Nearer to what was aimed at than this nobody tastes it (ours). */
const NEAR_FRAC = 0.03;
/** From here on a scale of five says too much, or too little (practice). */
const MUCH = 4;
const LITTLE = 2;
const HOURS_TIMES = 1.25;
const RATIO_LIMITS = { least: 2, most: 20 } as const;

/**
 * What to change about a batch, by what was read of it and how it tasted. Where schools differ, both ways are
 * there: a bitter batch was ground too fine, or steeped too long.
 *
 * @param input.model what its coffee is taken for by now
 * @param input.aimFrac strength that it was to have
 * @param input.foundFrac as it was read; null where nobody did
 * @param input.scores of five, means over tasters; left out where nobody said
 * @returns in the order in which they were found; `same` where everything is well
 * @see common practice
 */
export function nextTime(input: {
  plan: Plan;
  model: BrewModel;
  aimFrac: number;
  foundFrac: number | null;
  scores: {
    readonly bitterness?: number;
    readonly sourness?: number;
    readonly clean?: number;
    readonly liking?: number;
  };
}): NextTime[] {
  const { plan, model, aimFrac, foundFrac, scores } = input;
  const strengthOf = (plan: Plan): number => brew(planInput(plan), model).strengthFrac;
  const sameFrac = strengthOf(plan);
  const found: NextTime[] = [];
  const offer = (way: NextTime['way'], why: NextTime['why'], changed: Plan | null): void => {
    if (changed && !found.some((one) => one.way === way))
      found.push({ way, why, plan: changed, strengthFrac: strengthOf(changed), sameFrac });
  };
  const off = foundFrac === null ? 0 : foundFrac / aimFrac - 1;
  if (Math.abs(off) > NEAR_FRAC) {
    const why = off < 0 ? 'weaker' : 'stronger';
    // As much more or less water as it was off by.
    offer(off < 0 ? 'stronger' : 'leaner', why, withRatio(plan, 1 + off));
    offer(
      off < 0 ? 'longer' : 'shorter',
      why,
      withHours(plan, off < 0 ? HOURS_TIMES : 1 / HOURS_TIMES),
    );
  }
  if ((scores.bitterness ?? 0) >= MUCH) {
    offer('coarser', 'bitter', withGrind(plan, -1));
    offer('shorter', 'bitter', withHours(plan, 1 / HOURS_TIMES));
  }
  if ((scores.sourness ?? 0) >= MUCH) {
    offer('longer', 'sour', withHours(plan, HOURS_TIMES));
    offer('finer', 'sour', withGrind(plan, 1));
  }
  if ((scores.clean ?? MUCH) <= LITTLE) {
    offer('coarser', 'muddy', withGrind(plan, -1));
    offer('paper', 'muddy', plan.filtration.method === 'paper' ? null : withPaper(plan));
  }
  if (found.length === 0 && (scores.liking ?? 0) >= MUCH) offer('same', 'liked', plan);
  return found;
}

function withRatio(plan: Plan, times: number): Plan | null {
  const ratio = (plan.waterG / plan.doseG) * times;
  if (ratio < RATIO_LIMITS.least || ratio > RATIO_LIMITS.most) return null;
  return { ...plan, waterG: Math.round((ratio * plan.doseG) / 10) * 10 };
}
function withHours(plan: Plan, times: number): Plan | null {
  const last = plan.steep.at(-1)!;
  const more = (times - 1) * steepHoursOf(plan);
  const hours = Math.round(2 * (last.hours + more)) / 2;
  if (hours < 1 || hours > 72) return null;
  return { ...plan, steep: [...plan.steep.slice(0, -1), { ...last, hours }] };
}
/** Names run from the coarsest to the finest. */
function withGrind(plan: Plan, by: 1 | -1): Plan | null {
  const grind = GRIND_NAMES[GRIND_NAMES.indexOf(plan.grind) + by];
  return grind ? { ...plan, grind } : null;
}
const withPaper = (plan: Plan): Plan => ({
  ...plan,
  filtration: { ...plan.filtration, method: 'paper' },
});
