import { caffeineAtStrength } from '../coffee/caffeineAtStrength.ts';
import { findRoot } from '../numeric/findRoot.ts';
import { amountsToStrength } from './toStrength.ts';
import {
  caffeineOf,
  drinkSetting,
  levelOf,
  strengthOf,
  type Amounts,
  type Setting,
} from './setting.ts';

/**
 * How a solution ended. `too_weak`: even a glass filled up with concentrate stays under the target.
 * `no_room`: additions and ice leave no room for what is asked, or coffee ice alone overshoots.
 */
export type DrinkStatus = 'met' | 'too_weak' | 'no_room';

/** The two unknowns, and how their solution ended. */
export type SolvedAmounts = Amounts & {
  readonly status: DrinkStatus;
  /** Strength at the target's minute, where the solution has come by it. */
  readonly strengthFrac?: number;
};

/**
 * The two unknowns of a drink: the level reaches the fill line, and the target is met.
 *
 * The diluent follows from the level; the concentrate is then the root of one function, rising as
 * long as the diluent holds less coffee than the jug.
 *
 * @returns amounts that hold level and target to 1e-9, or the best that can be reached and why
 */
export function solveAmounts(setting: Setting): SolvedAmounts {
  const { target, glass, diluents } = setting.input;
  if (diluents.length === 0 && 'concentrateMl' in target)
    return asTold(setting, target.concentrateMl * setting.concentrateGPerMl);
  if (levelOf(setting, { concentrateG: 0, fillG: 0 }) >= glass.cupMl)
    return { status: 'no_room', concentrateG: 0, fillG: 0 };
  if ('parts' in target) return solveParts(setting, target.parts);
  if ('concentrateMl' in target)
    return solveByHand(setting, target.concentrateMl * setting.concentrateGPerMl);
  if ('glassFrac' in target)
    return solveByHand(setting, target.glassFrac * glass.cupMl * setting.concentrateGPerMl);
  if ('rest' in target) return { status: 'met', concentrateG: mostConcentrate(setting), fillG: 0 };
  if ('caffeineMg' in target) return solveRising(setting, caffeineMiss);
  const amounts = amountsToStrength(setting, target.strengthFrac);
  if (amounts) return { status: 'met', ...amounts, strengthFrac: target.strengthFrac };
  return solveRising(setting, strengthMiss);
}

function solveParts(setting: Setting, parts: { concentrate: number; fill: number }): SolvedAmounts {
  if (setting.input.diluents.length === 0)
    return { status: 'met', concentrateG: mostConcentrate(setting), fillG: 0 };
  const whole = parts.concentrate + parts.fill;
  const amounts = (volume: number) => ({
    concentrateG: (parts.concentrate * setting.concentrateGPerMl * volume) / whole,
    fillG: (parts.fill * setting.fillGPerMl * volume) / whole,
  });
  const volume = findRoot({
    f: (ml) => levelOf(setting, amounts(ml)) - setting.input.glass.cupMl,
    low: 0,
    // What is measured loose or with its air takes less room once it is in.
    high: (3 * setting.input.glass.cupMl) / Math.min(1, setting.fillGPerMl),
  });
  return { status: 'met', ...amounts(volume) };
}

/** Every amount as it is stated, whether the glass holds it or not. */
function asTold(setting: Setting, concentrateG: number): SolvedAmounts {
  const amounts = { concentrateG, fillG: 0 };
  const isOver = levelOf(setting, amounts) > setting.input.glass.cupMl * (1 + 1e-9);
  return { status: isOver ? 'no_room' : 'met', ...amounts };
}

function solveByHand(setting: Setting, concentrateG: number): SolvedAmounts {
  const most = mostConcentrate(setting);
  if (concentrateG > most * (1 + 1e-9)) return { status: 'no_room', concentrateG: most, fillG: 0 };
  return { status: 'met', concentrateG, fillG: fillFor(setting, concentrateG, most) };
}

/** How far a drink is above its target. */
type Miss = (setting: Setting, amounts: Amounts) => number;

const strengthMiss: Miss = (setting, amounts) => {
  const { target } = setting.input;
  return strengthOf(setting, amounts) - ('strengthFrac' in target ? target.strengthFrac : 0);
};

// In grams, so that it stands beside a strength in one tolerance.
const caffeineMiss: Miss = (setting, amounts) => {
  const { target } = setting.input;
  return (caffeineOf(setting, amounts) - ('caffeineMg' in target ? target.caffeineMg : 0)) / 1000;
};

function solveRising(setting: Setting, miss: Miss): SolvedAmounts {
  const most = mostConcentrate(setting);
  const at = (concentrateG: number): Amounts => ({
    concentrateG,
    fillG: fillFor(setting, concentrateG, most),
  });
  const over = (concentrateG: number): number => miss(setting, at(concentrateG));
  // A little hot diluent can lift much ice over the line at once, with no amount between.
  const met = (concentrateG: number): SolvedAmounts => {
    const amounts = at(concentrateG);
    const isMissed = Math.abs(miss(setting, amounts)) > 1e-9;
    const isOver = levelOf(setting, amounts) > setting.input.glass.cupMl * (1 + 1e-9);
    return isOver || isMissed ? { status: 'no_room', ...at(most) } : { status: 'met', ...amounts };
  };
  const [atNone, atMost] = [over(0), over(most)];
  if (Math.abs(atMost) < 1e-12) return met(most);
  if (Math.abs(atNone) < 1e-12) return met(0);
  if (atMost < 0 && atNone < 0) return { status: 'too_weak', ...at(most) };
  if (atMost > 0 && atNone > 0) return { status: 'no_room', ...at(0) };
  return met(findRoot({ f: over, low: 0, high: most }));
}

/** Concentrate that alone fills the glass to its line over what is fixed in it, g. */
function mostConcentrate(setting: Setting): number {
  const { cupMl } = setting.input.glass;
  const f = (concentrateG: number) => levelOf(setting, { concentrateG, fillG: 0 }) - cupMl;
  return findRoot({ f, low: 0, high: 2 * cupMl });
}

/** Diluent that brings the level to the line over an amount of concentrate, 0 where none fits. */
function fillFor(setting: Setting, concentrateG: number, most: number): number {
  const { cupMl } = setting.input.glass;
  if (concentrateG >= most || setting.input.diluents.length === 0) return 0;
  const short = (fillG: number) => levelOf(setting, { concentrateG, fillG }) - cupMl;
  if (short(0) >= 0) return 0;
  // Thrice the cup is above any line.
  return findRoot({ f: short, low: 0, high: 3 * cupMl * Math.max(1, setting.fillGPerMl) });
}

/**
 * Strength that the concentrate would need for a glass filled up with it to reach the target.
 *
 * @returns 0–1; null where no concentrate does
 */
export function neededStrengthFrac({ input }: Setting): number | null {
  const over = (strengthFrac: number): number => {
    const stronger = drinkSetting({
      ...input,
      concentrate: {
        ...input.concentrate,
        strengthFrac,
        caffeineMgPerG: caffeineAtStrength({ ...input.concentrate, wantedFrac: strengthFrac }),
      },
    });
    const miss = 'caffeineMg' in input.target ? caffeineMiss : strengthMiss;
    return miss(stronger, { concentrateG: mostConcentrate(stronger), fillG: 0 });
  };
  if (over(1) < 0) return null;
  return findRoot({ f: over, low: input.concentrate.strengthFrac, high: 1 });
}
