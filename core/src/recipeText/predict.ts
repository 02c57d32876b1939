import { brew, type BrewInput, type BrewOutcome } from '../brew/brew.ts';
import { USUAL_MODEL, type BrewModel } from '../brew/model.ts';
import { brewRange, type BrewRange, type Range } from '../brew/range.ts';
import { ratioForStrength } from '../brew/solveRatio.ts';
import { STRENGTH_NAMES, strengthName } from '../brew/strengthName.ts';
import { slurryTemperature } from '../brew/temperature.ts';
import { slurryMl, vesselTimeConstantS } from '../brew/vessel.ts';
import { caffeineMgPerG } from '../coffee/caffeine.ts';
import { requireWithin } from '../errors.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import type { StatedDrink } from './afterBrew.ts';
import { readRecipe, type ReadDrinkText, type ReadRecipe } from './readRecipe.ts';
import { disagrees, type RecipeNote } from './recipeNote.ts';
import { WATER_C } from './statedMasses.ts';
import type { UnreadRecipe } from './tieAmounts.ts';
import type { PredictRecipeResponse } from './schema.ts';

/** Slurry at the start and its surroundings for each stated place, °C. */
const PLACES = {
  fridge: { waterC: 12, tempC: 4 },
  counter: { waterC: 20, tempC: 22 },
  warm: { waterC: 32, tempC: 22 },
} as const;

const CONCENTRATE_FROM = STRENGTH_NAMES.find(({ name }) => name === 'strong')!.uptoFrac;

/** A recipe that was read, with the strength that it gives. */
export type PredictedRecipe =
  ({ readonly status: 'read' } & PredictRecipeResponse) | ReadDrinkText | UnreadRecipe;

/**
 * A recipe as stated, made comparable: true ratio, strength with its range, and what was assumed.
 *
 * @param text the recipe
 * @returns the response, or what the text lacks
 * @throws {DomainError} out_of_range where the amounts make an absurd ratio
 */
export function predictRecipe(text: string): PredictedRecipe {
  const read = readRecipe(text);
  if (read.status !== 'read') return read;
  requireWithin({ name: 'text', value: read.ratio.value, min: 0.5, max: 100 });
  const middle = inputOf(read, { ratio: read.ratio.value, at: 0.5 });
  const model = modelOfText(read);
  const outcome = brew(middle, model);
  const range = brewRange(middle, model, { grindBy: 'word' });
  const strength = strengthOf(read, outcome, range);
  const name = strengthName(strength.value);
  const { coffee, water, ratio, steep, marks, dilution, yieldMl } = read;
  const notes = [
    ...read.notes,
    misnamedNote(read, name, outcome),
    yieldNote(yieldMl, range.brewMl),
  ].filter((note) => note !== null);
  return {
    status: 'read',
    coffee,
    water,
    ratio,
    steep: {
      hours: { ...steep.hours },
      place: steep.place,
      pieces: steep.pieces.map(({ place, hours }) => ({ place, hours: { ...hours } })),
    },
    waterC: read.waterC,
    decafFrac: read.decafFrac,
    roast: read.roast,
    filtration: read.filtration,
    rinseG: read.rinseMl * waterDensityGPerMl(WATER_C),
    strengthFrac: strength,
    strengthName: name,
    brewMl: { ...range.brewMl, value: outcome.brewMl },
    dilution: dilution && {
      ...dilution,
      strengthFrac: strength.value / (1 + dilution.proportion),
    },
    thinned:
      read.addedMl === 0
        ? null
        : { waterMl: read.addedMl, strengthFrac: thinnedFrac(read, outcome) },
    drink: read.drink && copyOfDrink(read.drink),
    notes: notes.map(({ code, text: why, span }) => ({
      code,
      text: why,
      span: [span[0], span[1]],
    })),
    marks: marks.map(({ span, as }) => ({ span: [span[0], span[1]], as })),
  };
}

const copyOfDrink = (drink: StatedDrink) => ({
  ...drink,
  additions: drink.additions.map((one) => ({ ...one })),
});

const modelOfText = ({ decafFrac }: ReadRecipe): BrewModel =>
  decafFrac === null
    ? USUAL_MODEL
    : { ...USUAL_MODEL, caffeineMgPerG: caffeineMgPerG({ robustaFrac: 0, decafFrac }) };

function thinnedFrac(read: ReadRecipe, { brewG, strengthFrac }: BrewOutcome): number {
  return (strengthFrac * brewG) / (brewG + read.addedMl * waterDensityGPerMl(WATER_C));
}

/** How far what is stated to come out may lie outside of the range, share of it. */
const YIELD_OFF_FRAC = 0.1;

function yieldNote(stated: ReadRecipe['yieldMl'], expected: Range): RecipeNote | null {
  if (!stated) return null;
  const litres = (volumeMl: number): string => `${(volumeMl / 1000).toFixed(2)} L`;
  const isInside =
    stated.high >= expected.low * (1 - YIELD_OFF_FRAC) &&
    stated.low <= expected.high * (1 + YIELD_OFF_FRAC);
  if (isInside) return null;
  return disagrees(
    'yield',
    `It says that ${litres((stated.low + stated.high) / 2)} comes out; ${litres(expected.low)} to ${litres(expected.high)} is expected, because the grounds retain the rest.`,
    stated.span,
  );
}

function inputOf(read: ReadRecipe, over: { ratio: number; at: number }): BrewInput {
  const doseG = read.coffee.massG.value;
  const waterG = doseG * over.ratio;
  const [first] = read.steep.pieces;
  const waterC = Math.min(95, read.waterC ?? PLACES[first?.place ?? 'fridge'].waterC);
  const places = read.steep.pieces.map(({ place, hours: { low, high } }) => ({
    durationS: 3600 * (low + over.at * (high - low)),
    tempC: PLACES[place ?? 'fridge'].tempC,
  }));
  return {
    doseG,
    waterG,
    grind: read.coffee.grind,
    wetting: 'stir',
    history: slurryTemperature({
      doseG,
      pours: [{ atS: 0, massG: waterG, tempC: waterC }],
      readings: [],
      places,
      timeConstantS: vesselTimeConstantS(slurryMl({ doseG, waterG, tempC: waterC })),
    }),
    steepS: places.reduce((sum, { durationS }) => sum + durationS, 0),
    agitationS: [],
    filtration: {
      method: read.filtration ?? 'drain',
      rinseG: read.rinseMl * waterDensityGPerMl(WATER_C),
    },
  };
}

/** Strength in the middle of what was stated; the range adds stated ranges and the model's in squares. */
function strengthOf(
  read: ReadRecipe,
  { strengthFrac: value }: BrewOutcome,
  { strengthFrac: model }: BrewRange,
): { value: number; low: number; high: number } {
  const { ratio } = read;
  const at = (over: { ratio: number; at: number }): number =>
    brew(inputOf(read, over), USUAL_MODEL).strengthFrac;
  const down = Math.hypot(
    value - model.low,
    value - at({ ratio: ratio.high, at: 0.5 }),
    value - at({ ratio: ratio.value, at: 0 }),
  );
  const up = Math.hypot(
    model.high - value,
    at({ ratio: ratio.low, at: 0.5 }) - value,
    at({ ratio: ratio.value, at: 1 }) - value,
  );
  return { value, low: Math.max(0, value - down), high: value + up };
}

function misnamedNote(
  read: ReadRecipe,
  name: PredictRecipeResponse['strengthName'],
  { releasedFrac }: BrewOutcome,
): RecipeNote | null {
  const { claim, ratio } = read;
  if (!claim) return null;
  const isStrong = name === 'concentrate' || name === 'essence';
  if (claim.means === 'concentrate' && !isStrong) {
    const needed = ratioForStrength({
      strengthFrac: CONCENTRATE_FROM,
      releasedFrac,
      equilibriumYieldFrac: USUAL_MODEL.equilibriumYieldFrac,
    });
    const would = needed === null ? '' : ` It would need 1:${needed.toFixed(1)} or less.`;
    return {
      code: 'misnamed_strength',
      text: `Called a concentrate, but at 1:${ratio.value.toFixed(1)} by mass it is ${name}.${would}`,
      span: claim.span,
    };
  }
  if (claim.means === 'ready to drink' && isStrong)
    return {
      code: 'misnamed_strength',
      text: `Called ready to drink, but at 1:${ratio.value.toFixed(1)} by mass it is ${name}: dilute it.`,
      span: claim.span,
    };
  return null;
}
