import { SHOWN_SIGMAS, SIGMAS } from '../brew/spreads.ts';
import { CONSTANTS } from '../constants.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import { UNITS } from '../units/units.ts';
import type { SubjectedAmount } from './assignSubjects.ts';
import type { AmountMention, Span } from './findMentions.ts';
import type { Ranged } from './ranged.ts';
import { assumed, disagrees, grams, quote, type RecipeNote } from './recipeNote.ts';

/** 5th to 95th percentile of a scooped volume, from its 95 % range. */
const SCOOP_SPREAD = SHOWN_SIGMAS * SIGMAS.looseDensity;
/** Temperature at which stated water is weighed, °C. */
export const WATER_C = 20;
/** How far two tellings of one amount may differ. */
export const AGREE_FRAC = 0.03;
/** A mass out of the text, and where it is stated. */
export interface Mass {
  readonly massG: Ranged;
  readonly span: Span;
  readonly weighed: boolean;
}

function massOf(amount: AmountMention, densityGPerMl: number, spread: number): Ranged {
  const factor = amount.quantity === 'mass' ? 1 : densityGPerMl;
  const give = amount.quantity === 'mass' ? 0 : spread;
  const value = ((amount.low + amount.high) / 2) * factor;
  return { value, low: amount.low * factor * (1 - give), high: amount.high * factor * (1 + give) };
}

/** The mass of the coffee: a weight where there is one, and what else is stated of it must agree. */
export function statedMass(input: {
  amounts: readonly SubjectedAmount[];
  subject: 'coffee';
  density: number;
  text: string;
  notes: RecipeNote[];
}): Mass | null {
  const { amounts, subject, density, text, notes } = input;
  const stated = amounts.filter((amount) => amount.subject === subject);
  const chosen = stated.find(({ quantity }) => quantity === 'mass') ?? stated[0];
  if (!chosen) return null;
  const massG = massOf(chosen, density, SCOOP_SPREAD);
  noteMeasures(chosen, text, notes);
  if (chosen.quantity === 'volume')
    notes.push(
      assumed(
        'density',
        `${quote(text, chosen)} of coffee is taken for ${grams(massG.value)}, by ${density} g/mL; weigh it once to be sure.`,
        chosen.span,
      ),
    );
  if (chosen.concluded)
    notes.push(assumed('coffee', `${quote(text, chosen)} is taken for the coffee.`, chosen.span));
  compareOthers({
    stated,
    chosen,
    density,
    tolerance: CONSTANTS.looseDensitySpreadFrac.value,
    text,
    notes,
    what: 'coffee',
  });
  return { massG, span: chosen.span, weighed: chosen.quantity === 'mass' };
}

/** The mass of the water; ounces of it are stated by volume. */
export function statedWater(input: {
  amounts: readonly SubjectedAmount[];
  text: string;
  notes: RecipeNote[];
}): Mass | null {
  const { text, notes } = input;
  const density = waterDensityGPerMl(WATER_C);
  // Ounces of water are stated by volume.
  const stated = input.amounts
    .filter(({ subject }) => subject === 'water')
    .map((amount) => (amount.unit === 'ounce' ? fluid(amount, text, notes) : amount));
  const chosen = stated.find(({ quantity }) => quantity === 'mass') ?? stated[0];
  if (!chosen) return null;
  noteMeasures(chosen, text, notes);
  if (chosen.concluded)
    notes.push(assumed('water', `${quote(text, chosen)} is taken for the water.`, chosen.span));
  compareOthers({ stated, chosen, density, tolerance: AGREE_FRAC, text, notes, what: 'water' });
  return { massG: massOf(chosen, density, 0), span: chosen.span, weighed: true };
}

function fluid(amount: SubjectedAmount, text: string, notes: RecipeNote[]): SubjectedAmount {
  const factor = UNITS.fluidOunce.canonical / UNITS.ounce.canonical;
  notes.push(
    assumed(
      'fluid_ounces',
      `${quote(text, amount)} of water is read as fluid ounces.`,
      amount.span,
    ),
  );
  return {
    ...amount,
    quantity: 'volume',
    unit: 'fluidOunce',
    low: amount.low * factor,
    high: amount.high * factor,
  };
}

function noteMeasures(amount: SubjectedAmount, text: string, notes: RecipeNote[]): void {
  if (amount.unit === 'scoop')
    notes.push(
      assumed(
        'scoop',
        `${quote(text, amount)}: a scoop is taken for two tablespoons, 30 mL.`,
        amount.span,
      ),
    );
  else if (
    UNITS[amount.unit].system === 'us' &&
    UNITS[amount.unit].quantity === 'volume' &&
    amount.unit !== 'fluidOunce'
  )
    notes.push(
      assumed('us_measures', `${quote(text, amount)} is read in US measures.`, amount.span),
    );
}

/** The same thing stated twice must agree: half a cup is not ten tablespoons. */
function compareOthers(input: {
  stated: readonly SubjectedAmount[];
  chosen: SubjectedAmount;
  density: number;
  tolerance: number;
  text: string;
  notes: RecipeNote[];
  what: 'coffee' | 'water';
}): void {
  const { stated, chosen, density, tolerance, text, notes, what } = input;
  const middle = massOf(chosen, density, 0).value;
  for (const other of stated) {
    if (other.span === chosen.span) continue;
    const otherG = massOf(other, density, 0).value;
    const off = otherG / middle - 1;
    // A weight against a scoop may differ by what scoops differ; two scoops may not.
    const allowed = other.quantity === chosen.quantity ? AGREE_FRAC : tolerance;
    if (Math.abs(off) <= allowed) continue;
    const [first, second] = chosen.span[0] < other.span[0] ? [chosen, other] : [other, chosen];
    notes.push(
      disagrees(
        what,
        `${quote(text, first)} and ${quote(text, second)} are not the same: they differ by ${Math.abs(100 * off).toFixed(0)} %. ${quote(text, chosen)} is used.`,
        [first.span[0], second.span[1]],
      ),
    );
  }
}
