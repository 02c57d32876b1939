import { massG } from '../matter/composition.ts';
import { heatCapacityJPerK } from '../matter/properties.ts';
import { meltedAtG } from './glass.ts';
import { coldDebtJ } from './ice.ts';
import { equilibriumMeltG } from './melt.ts';
import { levelOf, mixedOf, type Amounts, type Setting } from './setting.ts';

/** How near the strength is promised, as a part of it. */
const CLOSE = 1e-9;
/** How much of a step is taken to be wrong at least. */
const LEAST_WRONG = 3e-4;
/** A level as near as the numbers carry it, as a part of the cup. */
const LEVEL_CLOSE = 1e-11;
/** The first melt only shows where to look. */
const FIRST_TOLERANCE = 1e-5;
const MOST_ROUNDS = 8;

/**
 * The two unknowns of a drink by what melts: with that known, a strength ties concentrate and diluent
 * in a straight line, and the fill line picks the point on it. What melts hardly depends on the two,
 * so that two or three melts find what the glass itself would melt.
 *
 * @param strengthFrac at the target's minute, 0–1
 * @returns amounts that hold the level to 1e-11 and the strength to 1e-9 of itself (2e-9 in a few odd
 *   drinks of a hundred thousand); undefined where it finds none, which does not say that there is none
 */
export function amountsToStrength(setting: Setting, strengthFrac: number): Amounts | undefined {
  const { glass, concentrate, diluents } = setting.input;
  if (diluents.length === 0 || concentrate.strengthFrac <= strengthFrac) return undefined;
  const lineOf = lineOfStrength(setting, strengthFrac);
  const whole = glass.cupMl * setting.fillGPerMl;
  const iceFrac = glass.ice?.coffeeFrac ?? 0;
  let meltedG = roughlyMeltedG(setting);
  let amounts = atFillLine(setting, lineOf(meltedG), whole / 2);
  if (setting.iceG === 0) return amounts;
  let before: { meltedG: number; off: number } | undefined;
  for (let round = 0; amounts && round < MOST_ROUNDS; round++) {
    const mixed = mixedOf(setting, amounts);
    const tolerance = before ? undefined : FIRST_TOLERANCE;
    const off = meltedAtG({ glass, mixed, minutes: setting.atMinutes, tolerance }) - meltedG;
    if (off === 0) return amounts;
    const gain = before ? (meltedG - before.meltedG) / (before.off - off) : 1;
    const stepG = gain * off;
    // A step leaves as much of itself as it is shorter than the one before; across a kink, where what is
    // chilled or the first of the ice to melt begins, it leaves more.
    const isSmooth = glass.chilledToC === null && meltedG > 0 && meltedG + stepG > 0;
    const left = isSmooth && before ? Math.abs(off / before.off) : 1;
    const liquidG = massG(mixed.composition) + meltedG;
    const wrong = (stepG * Math.max(left, LEAST_WRONG) * (1 - iceFrac / strengthFrac)) / liquidG;
    before = { meltedG, off };
    meltedG += stepG;
    amounts = atFillLine(setting, lineOf(meltedG), amounts.fillG);
    if (round > 0 && Math.abs(wrong) < CLOSE) return amounts;
  }
  return undefined;
}

/** What ice melts until a glass of half coffee and half diluent is as cold as it, g. */
function roughlyMeltedG(setting: Setting): number {
  const { ice, cupMl } = setting.input.glass;
  if (!ice) return 0;
  const mixed = mixedOf(setting, { concentrateG: cupMl / 4, fillG: cupMl / 4 });
  const heatJ = mixed.tempC * heatCapacityJPerK(mixed);
  return equilibriumMeltG({ heatJ, debtJ: coldDebtJ(ice), iceG: setting.iceG });
}

/** Concentrate beside an amount of diluent, g: so much at none, and so much more for each gram. */
interface Line {
  readonly atNoneG: number;
  readonly perFillG: number;
}

/** @returns the line on which a strength holds once so much has melted */
function lineOfStrength(setting: Setting, strengthFrac: number): (meltedG: number) => Line {
  const { fixed, fillPerG, input } = setting;
  const over = input.concentrate.strengthFrac - strengthFrac;
  const fixedShort = strengthFrac * massG(fixed.composition) - fixed.composition.coffeeG;
  const meltShort = strengthFrac - (input.glass.ice?.coffeeFrac ?? 0);
  const perFillG = (strengthFrac - fillPerG.composition.coffeeG) / over;
  return (meltedG) => ({ atNoneG: (fixedShort + meltedG * meltShort) / over, perFillG });
}

/** @returns the amounts on a line that bring the glass to its fill line; undefined for any below 0 */
function atFillLine(setting: Setting, line: Line, guessG: number): Amounts | undefined {
  const { cupMl } = setting.input.glass;
  // Ice hardly changes how much a gram lifts the level; secants make up for what it does.
  let liftMl = 1 / setting.fillGPerMl + line.perFillG / setting.concentrateGPerMl;
  let fillG = guessG;
  let before: { fillG: number; shortMl: number } | undefined;
  for (let i = 0; i < 20; i++) {
    const amounts = { concentrateG: line.atNoneG + line.perFillG * fillG, fillG };
    if (!(amounts.concentrateG >= 0 && fillG >= 0)) return undefined;
    const shortMl = cupMl - levelOf(setting, amounts);
    if (Math.abs(shortMl) <= LEVEL_CLOSE * cupMl) return amounts;
    if (before) liftMl = (before.shortMl - shortMl) / (fillG - before.fillG);
    before = { fillG, shortMl };
    fillG += shortMl / liftMl;
  }
  return undefined;
}
