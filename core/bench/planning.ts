import { TARGET_KEYS, brewAmounts, solveBrew, type BrewSetting } from '../src/brew/solve.ts';
import { USUAL_MODEL as model } from '../src/brew/model.ts';
import { createMonteCarlo } from '../src/brew/monteCarlo.ts';
import { brewSetting, planInput } from '../src/batch/plan.ts';
import { predictRecipe } from '../src/recipeText/predict.ts';
import type { Plan } from '../src/batch/schema.ts';
import { replan } from './replan.ts';
import { medianMs } from './timed.ts';

const RECIPE =
  '3 1/2 cups coarse coffee, 2 quarts (8 cups) of water, overnight in the fridge: a concentrate';
const plan: Plan = {
  coffeeId: 'a',
  vesselId: 'b',
  grind: 'coarse',
  doseG: 900,
  waterG: 4500,
  waterC: 12,
  wetting: 'stages',
  steep: [{ place: 'fridge', tempC: 4, hours: 18 }],
  agitationHours: [],
  bed: 'loose' as const,
  filtration: { method: 'drain', rinseG: 0 },
};

/** What planning costs, each beside the frame; ratios are to a re-plan in the same run. */
export function benchPlanning(frameMs: number): string[] {
  const base = medianMs({ run: replan, forMs: 800 });
  const row = (name: string, ms: number): string =>
    `| ${name} | ${ms.toFixed(2)} | ${(ms / base).toFixed(2)} | ${((100 * ms) / frameMs).toFixed(0)} % |`;
  const setting: BrewSetting = brewSetting(plan);
  const amounts = brewAmounts(setting, plan, model);
  const pairs = TARGET_KEYS.flatMap((a, i) =>
    TARGET_KEYS.slice(i + 1).map((b) => [a, b] as const),
  ).filter((pair) => !(pair.includes('ratio') && pair.includes('strengthFrac')));
  const solves = pairs.map(([a, b]) => {
    const targets = [
      { key: a, value: amounts[a] },
      { key: b, value: amounts[b] },
    ] as const;
    return row(
      `solve from ${a} and ${b}`,
      medianMs({ run: () => solveBrew(setting, targets, model), forMs: 150 }),
    );
  });
  return [
    '| planning | ms | of a re-plan | of a frame |',
    '|---|---|---|---|',
    row('re-plan (baseline)', base),
    row(
      'read a recipe, with its strength',
      medianMs({ run: () => predictRecipe(RECIPE), forMs: 500 }),
    ),
    ...solves,
  ];
}

/** Monte Carlo draws per second, and how the time grows with their number. */
export function benchDraws(): string[] {
  const brew = planInput(plan);
  const run = (draws: number) =>
    medianMs({ run: () => createMonteCarlo({ brew, model, seed: 1 }).advance(draws), forMs: 1200 });
  const counts = [500, 1000, 2000, 4000, 8000];
  const times = counts.map(run);
  const perDraw = times[0]! / counts[0]!;
  return [
    '| draws | ms | draws a second | time per draw, of that at 500 |',
    '|---|---|---|---|',
    ...counts.map(
      (draws, i) =>
        `| ${draws} | ${times[i]!.toFixed(1)} | ${((1000 * draws) / times[i]!).toFixed(0)} | ${(times[i]! / draws / perDraw).toFixed(2)} |`,
    ),
  ];
}
