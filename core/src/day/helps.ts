import { planInput } from '../batch/plan.ts';
import { startForReadyMs } from '../batch/schedule.ts';
import type { Plan } from '../batch/schema.ts';
import { steepHoursOf } from '../batch/steepHours.ts';
import { brew } from '../brew/brew.ts';
import type { BrewModel } from '../brew/model.ts';
import type { Forecast } from './forecast.ts';
import { lastsUntil, type Arrival } from './supply.ts';

/** What helps where no batch can be ready in time, each with what it comes to. */
export type Help =
  /** Steeped on the counter for the hours that there are. */
  | {
      readonly way: 'hurry';
      readonly plan: Plan;
      readonly readyMs: number;
      readonly strengthFrac: number;
    }
  /** A batch that steeps is strained now, as strong as it is. */
  | {
      readonly way: 'strain-now';
      readonly batchId: string;
      readonly massG: number;
      readonly strengthFrac: number;
      readonly untilMs: number | null;
    }
  /** Every drink takes so much less. */
  | { readonly way: 'thinner'; readonly byFrac: number; readonly untilMs: number | null }
  /** Water into what is on hand, poured as before. */
  | {
      readonly way: 'water';
      readonly massG: number;
      readonly strengthFrac: number;
      readonly untilMs: number | null;
    };

/** Less than this is no steep (ours). */
const SHORTEST_HOURS = 4;
/** What gains less time than this is no help (ours). */
const BETTER_MS = 10 * 60_000;
const HOUR_MS = 3_600_000;
/** How much thinner a drink may be before somebody tastes it (practice). */
const THINNER_FRAC = 0.1;

/**
 * What helps where it is too late for a batch: shorter on the counter, a batch that is strained early,
 * thinner drinks, stretched jugs.
 *
 * @param input.readyByMs when what is on hand is gone, ms since 1970 UTC
 * @param input.strengthFrac of what is on hand
 * @param input.steeping what each running batch would come to if it were strained now
 */
export function helpsOf(input: {
  forecast: Pick<Forecast, 'runOut'>;
  onHandG: number;
  strengthFrac: number;
  arrivals: readonly (Arrival & { readonly batchId: string })[];
  steeping: readonly { batchId: string; massG: number; strengthFrac: number }[];
  plan: Plan;
  model: BrewModel;
  roomC: number;
  nowMs: number;
  readyByMs: number;
}): Help[] {
  const { forecast, onHandG, strengthFrac, arrivals, steeping, plan, model } = input;
  const until = (heldG: number, coming = arrivals): number | null =>
    lastsUntil({ forecast, onHandG: heldG, arrivals: coming }).atMs;
  const stretchedG = onHandG / (1 - THINNER_FRAC);
  const asItIs = until(onHandG);
  const isBetter = (ms: number | null): boolean =>
    ms === null || (asItIs !== null && ms > asItIs + BETTER_MS);
  return [
    ...hurried({ ...input, plan, model }),
    ...steeping
      .filter(({ massG }) => massG > 0)
      .map((one): Help => ({
        way: 'strain-now',
        ...one,
        untilMs: until(
          onHandG + one.massG,
          arrivals.filter(({ batchId }) => batchId !== one.batchId),
        ),
      })),
    ...(onHandG > 0
      ? ([
          // Less of what is on hand goes into each, and of what comes too.
          {
            way: 'thinner',
            byFrac: THINNER_FRAC,
            untilMs: until(
              stretchedG,
              arrivals.map((one) => ({ ...one, massG: one.massG / (1 - THINNER_FRAC) })),
            ),
          },
          {
            way: 'water',
            massG: stretchedG - onHandG,
            strengthFrac: strengthFrac * (1 - THINNER_FRAC),
            untilMs: until(stretchedG),
          },
        ] as const)
      : []),
  ].filter((help) => !('untilMs' in help) || isBetter(help.untilMs));
}

function hurried(input: {
  plan: Plan;
  model: BrewModel;
  roomC: number;
  nowMs: number;
  readyByMs: number;
}): Help[] {
  const { plan, model, roomC, nowMs, readyByMs } = input;
  const { method } = plan.filtration;
  const lastMs = startForReadyMs({ readyMs: readyByMs, steepHours: 0, method });
  const hours = Math.floor((2 * (lastMs - nowMs)) / HOUR_MS) / 2;
  const usual = steepHoursOf(plan);
  if (hours < SHORTEST_HOURS || hours >= usual) return [];
  const steep: Plan['steep'] = [{ place: 'counter', tempC: roomC, hours }];
  const quick = { ...plan, steep, agitationHours: [] };
  const { strengthFrac } = brew(planInput(quick), model);
  const readyMs = nowMs + hours * HOUR_MS + (readyByMs - lastMs);
  return [{ way: 'hurry', plan: quick, readyMs, strengthFrac }];
}
