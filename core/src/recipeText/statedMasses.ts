import { SHOWN_SIGMAS, SIGMAS } from '../brew/spreads.ts';
import { CONSTANTS } from '../constants.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import { UNITS } from '../units/units.ts';
import { fluidOunces } from './fluidOunces.ts';
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

/** The mass of the coffee: what is stated of it in all, and what is stated twice must agree. */
export function statedMass(input: {
  amounts: readonly SubjectedAmount[];
  subject: 'coffee';
  density: number;
  text: string;
  notes: RecipeNote[];
}): Mass | null {
  const { amounts, subject, density, text, notes } = input;
  const stated = amounts.filter((amount) => amount.subject === subject);
  for (const amount of stated) noteMeasures(amount, text, notes);
  const mass = summed({
    stated,
    density,
    spread: SCOOP_SPREAD,
    tolerance: CONSTANTS.looseDensitySpreadFrac.value,
    text,
    notes,
    what: 'coffee',
  });
  if (mass === null) return null;
  for (const { amount, massG } of mass.of) {
    if (amount.quantity === 'volume')
      notes.push(
        assumed(
          'density',
          `${quote(text, amount)} of coffee is taken for ${grams(massG.value)}, by ${density} g/mL; weigh it once to be sure.`,
          amount.span,
        ),
      );
    if (amount.concluded)
      notes.push(assumed('coffee', `${quote(text, amount)} is taken for the coffee.`, amount.span));
  }
  return mass;
}

/** The mass of the water; ounces of it are stated by volume. */
export function statedWater(input: {
  amounts: readonly SubjectedAmount[];
  text: string;
  notes: RecipeNote[];
}): Mass | null {
  const { text, notes } = input;
  // Ounces of water are stated by volume.
  const stated = input.amounts
    .filter(({ subject }) => subject === 'water')
    .map((amount) => (amount.unit === 'ounce' ? fluid(amount, text, notes) : amount));
  for (const amount of stated) noteMeasures(amount, text, notes);
  const density = waterDensityGPerMl(WATER_C);
  const mass = summed({
    stated,
    density,
    spread: 0,
    tolerance: AGREE_FRAC,
    text,
    notes,
    what: 'water',
  });
  for (const { amount } of mass?.of ?? [])
    if (amount.isIce)
      notes.push(
        assumed(
          'ice',
          `${quote(text, amount)} of ice melts into the brew and counts as water.`,
          amount.span,
        ),
      );
    else if (amount.concluded)
      notes.push(assumed('water', `${quote(text, amount)} is taken for the water.`, amount.span));
  return mass && { ...mass, weighed: true };
}

/** Words between two amounts of one thing by which the second comes on top of the first. */
const ADDED =
  /\+|&|\b(?:and|plus|then|another|more|add|adding|pour|top(?:ped)? (?:up|off)|rest|remaining|remainder|second|bloom\w*|after|followed)\b/i;
/** Words by which it is the same again. */
const AGAIN =
  /^\s*(?:\(|=|\/|,|or\b|that is|i\.e\.|about|roughly|\bof\b|coffee|water|ground|grounds|coarse(?:ly)?|\s)*\s*$/i;

/**
 * Everything that is stated of one thing: amounts that come one on top of the other are added, one that
 * is stated again in another measure must agree.
 */
function summed(input: {
  stated: readonly SubjectedAmount[];
  density: number;
  spread: number;
  tolerance: number;
  text: string;
  notes: RecipeNote[];
  what: 'coffee' | 'water';
}): (Mass & { of: { amount: SubjectedAmount; massG: Ranged }[] }) | null {
  const { stated, density, spread, tolerance, text, notes, what } = input;
  const groups: SubjectedAmount[][] = [];
  for (const amount of stated) {
    const last = groups.at(-1);
    const before = last?.at(-1);
    const gap = before ? text.slice(before.span[1], amount.span[0]) : '';
    const isSame =
      before?.low === amount.low && before.high === amount.high && before.unit === amount.unit;
    const isAdded =
      ADDED.test(gap) &&
      !(isSame && !/\+|&|\b(?:and|plus|another|other|more|then|rest)\b/i.test(gap));
    const isOther = amount.isIce !== before?.isIce;
    if (last && !isOther && (AGAIN.test(gap) || !isAdded)) last.push(amount);
    else groups.push([amount]);
  }
  if (groups.length === 0) return null;
  const of = groups.map((group) => {
    const amount = group.find(({ quantity }) => quantity === 'mass') ?? group[0]!;
    compareOthers({ stated: group, chosen: amount, density, tolerance, text, notes, what });
    return { amount, massG: massOf(amount, density, spread) };
  });
  const sum = (end: keyof Ranged): number => of.reduce((whole, { massG }) => whole + massG[end], 0);
  const first = of[0]!.amount;
  return {
    massG: { value: sum('value'), low: sum('low'), high: sum('high') },
    span: [first.span[0], of.at(-1)!.amount.span[1]],
    weighed: of.every(({ amount }) => amount.quantity === 'mass'),
    of,
  };
}

function fluid(amount: SubjectedAmount, text: string, notes: RecipeNote[]): SubjectedAmount {
  notes.push(
    assumed(
      'fluid_ounces',
      `${quote(text, amount)} of water is read as fluid ounces.`,
      amount.span,
    ),
  );
  return fluidOunces(amount);
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
