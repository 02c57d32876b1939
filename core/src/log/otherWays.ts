import { planInput } from '../batch/plan.ts';
import type { Plan } from '../batch/schema.ts';
import { brew } from '../brew/brew.ts';
import type { BrewModel } from '../brew/model.ts';
import { GRIND_NAMES } from '../coffee/grinds.ts';

/** Another way to brew a plan, and what it does. */
export interface OtherWay {
  readonly way: 'leaner' | 'finer' | 'squeeze' | 'rinse';
  readonly plan: Plan;
  readonly strengthFrac: number;
  /** Coffee that is saved for the same coffee solids in the cups, as a part of it; below 0 it takes more. */
  readonly savedFrac: number;
}

/**
 * What a change of ratio, grind or filtration is worth: how much less coffee gives the same solids.
 *
 * @param input.plan with a dose above 0
 * @returns the plan as it is now, and each way that it could go
 */
export function otherWays(input: { plan: Plan; model: BrewModel }): {
  readonly strengthFrac: number;
  readonly ways: readonly OtherWay[];
} {
  const { plan, model } = input;
  const { filtration, doseG } = plan;
  const finer = GRIND_NAMES[GRIND_NAMES.indexOf(plan.grind) + 1];
  const brewed = (changed: Plan) => {
    const { strengthFrac, brewG } = brew(planInput(changed), model);
    return { strengthFrac, doseGPerSolidsG: changed.doseG / (strengthFrac * brewG) };
  };
  const now = brewed(plan);
  const ways: readonly Pick<OtherWay, 'way' | 'plan'>[] = [
    { way: 'leaner', plan: { ...plan, waterG: plan.waterG + doseG } },
    ...(finer ? [{ way: 'finer' as const, plan: { ...plan, grind: finer } }] : []),
    ...(filtration.method === 'squeeze'
      ? []
      : [
          {
            way: 'squeeze' as const,
            plan: { ...plan, filtration: { ...filtration, method: 'squeeze' as const } },
          },
        ]),
    {
      way: 'rinse',
      plan: { ...plan, filtration: { ...filtration, rinseG: filtration.rinseG + doseG } },
    },
  ];
  return {
    strengthFrac: now.strengthFrac,
    ways: ways.map(({ way, plan: changed }) => {
      const { strengthFrac, doseGPerSolidsG } = brewed(changed);
      return {
        way,
        plan: changed,
        strengthFrac,
        savedFrac: 1 - doseGPerSolidsG / now.doseGPerSolidsG,
      };
    }),
  };
}
