import { brew, type BrewInput } from '../brew/brew.ts';
import { USUAL_MODEL } from '../brew/model.ts';
import { brewRange } from '../brew/range.ts';
import { ratioForStrength } from '../brew/solveRatio.ts';
import { STRENGTH_NAMES, strengthName } from '../brew/strengthName.ts';
import { slurryTemperature } from '../brew/temperature.ts';
import { slurryMl, vesselTimeConstantS } from '../brew/vessel.ts';
import { requireWithin } from '../errors.ts';
import { readRecipe, type ReadRecipe } from './readRecipe.ts';
import type { RecipeNote } from './recipeNote.ts';
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
export type PredictedRecipe = ({ readonly status: 'read' } & PredictRecipeResponse) | UnreadRecipe;

/**
 * A recipe as stated, made comparable: true ratio, strength with its range, and what was assumed.
 *
 * @param text the recipe
 * @returns the response, or what the text lacks
 * @throws {DomainError} out_of_range where the amounts make an absurd ratio
 */
export function predictRecipe(text: string): PredictedRecipe {
  const read = readRecipe(text);
  if (read.status === 'unread') return read;
  requireWithin({ name: 'text', value: read.ratio.value, min: 0.5, max: 100 });
  const strength = strengthOf(read);
  const name = strengthName(strength.value);
  const misnamed = misnamedNote(read, name);
  const { coffee, water, ratio, steep, marks } = read;
  return {
    status: 'read',
    coffee,
    water,
    ratio,
    steep: { hours: { ...steep.hours }, place: steep.place },
    strengthFrac: strength,
    strengthName: name,
    notes: [...read.notes, ...(misnamed ? [misnamed] : [])].map(({ code, text: why, span }) => ({
      code,
      text: why,
      span: [span[0], span[1]],
    })),
    marks: marks.map(({ span, as }) => ({ span: [span[0], span[1]], as })),
  };
}

function inputOf(read: ReadRecipe, over: { ratio: number; hours: number }): BrewInput {
  const doseG = read.coffee.massG.value;
  const waterG = doseG * over.ratio;
  const place = PLACES[read.steep.place ?? 'fridge'];
  const waterC = Math.min(95, read.waterC ?? place.waterC);
  return {
    doseG,
    waterG,
    grind: read.coffee.grind,
    wetting: 'stir',
    history: slurryTemperature({
      doseG,
      pours: [{ atS: 0, massG: waterG, tempC: waterC }],
      readings: [],
      places: [{ durationS: over.hours * 3600, tempC: place.tempC }],
      timeConstantS: vesselTimeConstantS(slurryMl({ doseG, waterG, tempC: waterC })),
    }),
    steepS: over.hours * 3600,
    agitationS: [],
    filtration: { method: 'drain', rinseG: 0 },
  };
}

/** Strength in the middle of what was stated; the range adds stated ranges and the model's in squares. */
function strengthOf(read: ReadRecipe): { value: number; low: number; high: number } {
  const { low, high } = read.steep.hours;
  const hours = (low + high) / 2;
  const { ratio } = read;
  const middle = inputOf(read, { ratio: ratio.value, hours });
  const at = (over: { ratio: number; hours: number }): number =>
    brew(inputOf(read, over), USUAL_MODEL).strengthFrac;
  const value = brew(middle, USUAL_MODEL).strengthFrac;
  const model = brewRange(middle, USUAL_MODEL, { grindBy: 'word' }).strengthFrac;
  const down = Math.hypot(
    value - model.low,
    value - at({ ratio: ratio.high, hours }),
    value - at({ ratio: ratio.value, hours: low }),
  );
  const up = Math.hypot(
    model.high - value,
    at({ ratio: ratio.low, hours }) - value,
    at({ ratio: ratio.value, hours: high }) - value,
  );
  return { value, low: Math.max(0, value - down), high: value + up };
}

function misnamedNote(
  read: ReadRecipe,
  name: PredictRecipeResponse['strengthName'],
): RecipeNote | null {
  const { claim, ratio, steep } = read;
  if (!claim) return null;
  const isStrong = name === 'concentrate' || name === 'essence';
  if (claim.means === 'concentrate' && !isStrong) {
    const hours = (steep.hours.low + steep.hours.high) / 2;
    const needed = ratioForStrength({
      strengthFrac: CONCENTRATE_FROM,
      releasedFrac: brew(inputOf(read, { ratio: ratio.value, hours }), USUAL_MODEL).releasedFrac,
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
