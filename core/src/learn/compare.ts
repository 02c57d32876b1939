import { planInput } from '../batch/plan.ts';
import type { Plan } from '../batch/schema.ts';
import { brew, type BrewInput } from '../brew/brew.ts';
import type { BrewModel } from '../brew/model.ts';
import { DomainError } from '../errors.ts';

/** What two batches can differ in. */
const DIFFERENCES = [
  'coffee',
  'grind',
  'ratio',
  'dose',
  'wetting',
  'places',
  'hours',
  'agitation',
  'filtration',
] as const;
export type Difference = (typeof DIFFERENCES)[number];

/** One side of a comparison: the brew as it was, the plan behind it, and what was found. */
export interface Compared {
  readonly plan: Plan;
  readonly input: BrewInput;
  readonly model: BrewModel;
  /** As it was read; null where nobody did. */
  readonly strengthFrac: number | null;
}

/** What makes the difference between two strengths. */
export interface Comparison {
  /** By the model, of the second over the first, 0 where they agree. */
  readonly predictedFrac: number;
  /** As read; null where one of them was not. */
  readonly foundFrac: number | null;
  /** How much of the strength each difference explains, largest first; together they are what is predicted. */
  readonly explained: readonly { readonly what: Difference; readonly byFrac: number }[];
  /** What was found and no difference explains; null where nothing was found. */
  readonly unexplainedFrac: number | null;
}

type Parts = Readonly<Record<Difference, 0 | 1>>;

/**
 * What was different in and out between two batches, by the model: each difference counts with the mean of
 * what it does in every order of turning one batch into the other (Shapley's value), so that their order
 * does not matter and they add up.
 *
 * @returns strengths as the second over the first, less 1, in logarithms
 * @throws {DomainError} as `brew`
 * @see Shapley 1953, A value for n-person games (memory)
 */
export function compareBatches(first: Compared, second: Compared): Comparison {
  const sides = [first, second] as const;
  const known = new Map<string, number>();
  const strengthOf = (parts: Parts): number => {
    const key = DIFFERENCES.map((name) => parts[name]).join('');
    const before = known.get(key);
    if (before !== undefined) return before;
    const value = Math.log(brew(...mixedBrew(sides, parts)).strengthFrac);
    if (!Number.isFinite(value))
      throw new DomainError('out_of_range', { name: 'strengthFrac', value: 0 });
    known.set(key, value);
    return value;
  };
  // What is the same on both sides is turned for nothing.
  const differs = DIFFERENCES.filter((name) => {
    const at = (side: 0 | 1) => ({ ...NONE, [name]: side });
    return Math.abs(strengthOf(at(1)) - strengthOf(at(0))) > 1e-12 || isOther(sides, name);
  });
  const explained = differs.map((name) => ({
    what: name,
    byFrac: shareOf(name, differs, strengthOf),
  }));
  const predictedFrac = explained.reduce((sum, { byFrac }) => sum + byFrac, 0);
  const foundFrac =
    first.strengthFrac === null || second.strengthFrac === null
      ? null
      : Math.log(second.strengthFrac / first.strengthFrac);
  return {
    predictedFrac,
    foundFrac,
    explained: explained.toSorted((a, b) => Math.abs(b.byFrac) - Math.abs(a.byFrac)),
    unexplainedFrac: foundFrac === null ? null : foundFrac - predictedFrac,
  };
}

const NONE: Parts = Object.fromEntries(DIFFERENCES.map((name) => [name, 0])) as unknown as Parts;

/** The mean of what a difference does, over every set of the others that is turned before it. */
function shareOf(
  name: Difference,
  differs: readonly Difference[],
  strengthOf: (parts: Parts) => number,
): number {
  const others = differs.filter((one) => one !== name);
  const n = differs.length;
  let sum = 0;
  for (let set = 0; set < 1 << others.length; set++) {
    const turned = others.filter((_, i) => set & (1 << i));
    const parts = { ...NONE, ...Object.fromEntries(turned.map((one) => [one, 1])) } as Parts;
    const weight = (factorial(turned.length) * factorial(n - turned.length - 1)) / factorial(n);
    sum += weight * (strengthOf({ ...parts, [name]: 1 }) - strengthOf(parts));
  }
  return sum;
}

const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));

const ratioOf = ({ input }: Compared): number => input.waterG / input.doseG;

/** The brew that has each part from one of the two sides. */
function mixedBrew(
  sides: readonly [Compared, Compared],
  parts: Parts,
): readonly [BrewInput, BrewModel] {
  const from = (name: Difference): Compared => sides[parts[name]];
  const places = from('places');
  const doseG = from('dose').input.doseG;
  const base = from('grind').input;
  const { rinseG: _, ...rest } = from('filtration').input.filtration;
  const filtered = from('filtration').input;
  return [
    {
      ...base,
      doseG,
      waterG: ratioOf(from('ratio')) * doseG,
      wetting: from('wetting').input.wetting,
      history: places.input.history,
      steepS: from('hours').input.steepS,
      agitationS: from('agitation').input.agitationS,
      filtration: {
        ...rest,
        // A rinse goes with the coffee that it is poured through.
        rinseG: (filtered.filtration.rinseG * doseG) / filtered.doseG,
      },
    },
    from('coffee').model,
  ];
}

function isOther([a, b]: readonly [Compared, Compared], name: Difference): boolean {
  if (name === 'coffee') return a.plan.coffeeId !== b.plan.coffeeId;
  return name === 'grind' && a.plan.grind !== b.plan.grind;
}

/** @returns the side of a comparison that a plan is, before anything was read of it */
export const comparedPlan = (plan: Plan, model: BrewModel): Compared => ({
  plan,
  model,
  input: planInput(plan),
  strengthFrac: null,
});
