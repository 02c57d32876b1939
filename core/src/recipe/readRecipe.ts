import { looseDensityGPerMl, type Grind } from '../coffee/grinds.ts';
import { CONSTANTS } from '../constants.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import { UNITS } from '../units/units.ts';
import { assignSubjects, type SubjectedAmount } from './assignSubjects.ts';
import { findMentions, type AmountMention, type Mention, type Span } from './findMentions.ts';
import type { Claim, ToldForm, ToldPlace } from './words.ts';

/** A value with the ends of its range. */
export interface Ranged {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** Something that was assumed, or that does not agree, and where in the text. */
export interface RecipeNote {
  readonly code: string;
  readonly text: string;
  readonly span: Span;
}

/** A piece of the text that was used, and what it became. */
export interface RecipeMark {
  readonly span: Span;
  readonly as: string;
}

/** A recipe in grams and hours, with what was assumed. */
export interface ReadRecipe {
  readonly status: 'read';
  readonly coffee: { readonly massG: Ranged; readonly grind: Grind; readonly form: ToldForm };
  readonly water: { readonly massG: Ranged };
  readonly ratio: Ranged;
  readonly steep: {
    readonly hours: { low: number; high: number };
    readonly place: ToldPlace | null;
  };
  /** Water temperature that the text tells, °C. */
  readonly waterC: number | null;
  readonly claim: { readonly means: Claim; readonly span: Span } | null;
  readonly notes: readonly RecipeNote[];
  readonly marks: readonly RecipeMark[];
}

/** A text that cannot be read as a recipe, and what it lacks. */
export interface UnreadRecipe {
  readonly status: 'unread';
  readonly lacks: 'coffee' | 'water' | 'everything';
  readonly message: string;
}

/** 5th to 95th percentile of a scooped volume, from its 95 % range. */
const SCOOP_SPREAD = (CONSTANTS.looseDensitySpreadFrac.value * 1.644854) / 1.959964;
const WATER_C = 20;
const AGREE_FRAC = 0.03;
const USUAL_HOURS = {
  fridge: { low: 16, high: 24 },
  counter: { low: 12, high: 18 },
  warm: { low: 12, high: 18 },
};
const USUAL_GRIND: Grind = 'coarse';

type Of<K extends Mention['kind']> = Extract<Mention, { kind: K }>;

/**
 * Reads a recipe told in words and spoons.
 *
 * @param text at most a few hundred words of English
 * @returns masses, ratio and steep with their ranges, what was assumed, what does not agree; or
 *   what is missing, with what to add
 */
export function readRecipe(text: string): ReadRecipe | UnreadRecipe {
  const mentions = findMentions(text);
  const all = <K extends Mention['kind']>(kind: K) =>
    mentions.filter((mention): mention is Of<K> => mention.kind === kind);
  const amounts = assignSubjects({ text, amounts: all('amount') });
  const notes: RecipeNote[] = [];
  const [grindTold] = all('grind');
  const form = formOf(text, all('form'), amounts);
  const grind = grindTold?.grind ?? USUAL_GRIND;
  const ratioTold = all('ratio')[0];

  const coffee = toldMass({
    amounts,
    subject: 'coffee',
    density: looseDensityGPerMl({ form, grind }),
    text,
    notes,
  });
  const water = toldWater({ amounts, text, notes });
  const vessel = amounts.find(({ subject }) => subject === 'vessel');
  if (!coffee && !water && !ratioTold)
    return unread(
      'everything',
      'No coffee, water or ratio is told. Try “200 g coffee, 1 L water, 16 h in the fridge”.',
    );
  const tied = tie({ coffee, water, ratioTold, vessel, text, notes });
  if ('status' in tied) return tied;

  if (!grindTold)
    notes.push(assumed('grind', `No grind is told; ${USUAL_GRIND} is assumed.`, wholeOf(text)));
  const place = all('place')[0]?.place ?? null;
  if (!place)
    notes.push(
      assumed('place', 'No place is told; the fridge is assumed for the strength.', wholeOf(text)),
    );
  const hours = hoursOf({ told: all('hours'), place, text, notes });
  const claim = all('claim')[0];
  return {
    status: 'read',
    coffee: { massG: tied.coffeeG, grind, form },
    water: { massG: tied.waterG },
    ratio: tied.ratio,
    steep: { hours, place },
    waterC: all('temperature')[0]?.tempC ?? null,
    claim: claim ? { means: claim.claim, span: claim.span } : null,
    notes: notes.toSorted((a, b) => a.span[0] - b.span[0]),
    marks: marksOf(mentions, amounts),
  };
}

const unread = (lacks: UnreadRecipe['lacks'], message: string): UnreadRecipe => ({
  status: 'unread',
  lacks,
  message,
});
const assumed = (what: string, text: string, span: Span): RecipeNote => ({
  code: `assumed_${what}`,
  text,
  span,
});
const disagrees = (what: string, text: string, span: Span): RecipeNote => ({
  code: `disagrees_${what}`,
  text,
  span,
});
const wholeOf = (text: string): Span => [0, text.length];
const quote = (text: string, { span: [start, end] }: { span: Span }): string =>
  `“${text.slice(start, end)}”`;
const grams = (massG: number): string => `${massG.toFixed(massG < 100 ? 1 : 0)} g`;

/** Beans count only where the scoop held them: "a cup of beans", not "grind the beans". */
function formOf(
  text: string,
  forms: readonly Of<'form'>[],
  amounts: readonly SubjectedAmount[],
): ToldForm {
  const beans = forms.filter(({ form }) => form === 'beans');
  const scooped = amounts.some(
    ({ subject, span: [, end] }) =>
      subject === 'coffee' &&
      beans.some(
        ({ span: [start] }) =>
          start >= end && start - end < 40 && !/[.;]/.test(text.slice(end, start)),
      ),
  );
  return scooped &&
    !forms.some(({ form, span: [start] }) => form === 'ground' && start < beans[0]!.span[0])
    ? 'beans'
    : 'ground';
}

interface Mass {
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

/** The mass of the coffee: a weight where there is one, and what else is told of it must agree. */
function toldMass(input: {
  amounts: readonly SubjectedAmount[];
  subject: 'coffee';
  density: number;
  text: string;
  notes: RecipeNote[];
}): Mass | null {
  const { amounts, subject, density, text, notes } = input;
  const told = amounts.filter((amount) => amount.subject === subject);
  const chosen = told.find(({ quantity }) => quantity === 'mass') ?? told[0];
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
    told,
    chosen,
    density,
    tolerance: CONSTANTS.looseDensitySpreadFrac.value,
    text,
    notes,
    what: 'coffee',
  });
  return { massG, span: chosen.span, weighed: chosen.quantity === 'mass' };
}

function toldWater(input: {
  amounts: readonly SubjectedAmount[];
  text: string;
  notes: RecipeNote[];
}): Mass | null {
  const { text, notes } = input;
  const density = waterDensityGPerMl(WATER_C);
  // Ounces of water are told by volume.
  const told = input.amounts
    .filter(({ subject }) => subject === 'water')
    .map((amount) => (amount.unit === 'ounce' ? fluid(amount, text, notes) : amount));
  const chosen = told.find(({ quantity }) => quantity === 'mass') ?? told[0];
  if (!chosen) return null;
  noteMeasures(chosen, text, notes);
  if (chosen.concluded)
    notes.push(assumed('water', `${quote(text, chosen)} is taken for the water.`, chosen.span));
  compareOthers({ told, chosen, density, tolerance: AGREE_FRAC, text, notes, what: 'water' });
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

/** The same thing told twice must agree: half a cup is not ten tablespoons. */
function compareOthers(input: {
  told: readonly SubjectedAmount[];
  chosen: SubjectedAmount;
  density: number;
  tolerance: number;
  text: string;
  notes: RecipeNote[];
  what: 'coffee' | 'water';
}): void {
  const { told, chosen, density, tolerance, text, notes, what } = input;
  const middle = massOf(chosen, density, 0).value;
  for (const other of told) {
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

/** Masses and ratio out of what is told of them; what is told twice must agree. */
function tie(input: {
  coffee: Mass | null;
  water: Mass | null;
  ratioTold: Of<'ratio'> | undefined;
  vessel: SubjectedAmount | undefined;
  text: string;
  notes: RecipeNote[];
}): { coffeeG: Ranged; waterG: Ranged; ratio: Ranged } | UnreadRecipe {
  const { coffee, ratioTold, vessel, text, notes } = input;
  let { water } = input;
  if (coffee && !water && !ratioTold && vessel) {
    // Fill it up: what the vessel holds, less the room of the wet grounds.
    const room = CONSTANTS.groundsDisplaceMlPerG.value * coffee.massG.value;
    const left = vessel.low - room;
    if (vessel.quantity === 'volume' && left > 0) {
      const value = left * waterDensityGPerMl(WATER_C);
      water = {
        massG: { value, low: value * 0.95, high: value * 1.02 },
        span: vessel.span,
        weighed: false,
      };
      notes.push(
        assumed(
          'fill',
          `${quote(text, vessel)} is taken to be filled up: ${grams(value)} of water beside the grounds.`,
          vessel.span,
        ),
      );
    }
  }
  if (coffee && water) {
    const ratio = quotient(water.massG, coffee.massG);
    if (ratioTold) {
      const toldRatio = (ratioTold.low + ratioTold.high) / 2;
      const inside =
        ratioTold.low <= ratio.high * (1 + AGREE_FRAC) &&
        ratioTold.high >= ratio.low * (1 - AGREE_FRAC);
      const close = Math.abs(toldRatio / ratio.value - 1) <= 0.05;
      if (!(close || (inside && !coffee.weighed)))
        notes.push(
          disagrees(
            'ratio',
            `${quote(text, ratioTold)} is not what the amounts give, 1:${ratio.value.toFixed(1)} by mass. The amounts are used.`,
            ratioTold.span,
          ),
        );
    }
    return { coffeeG: coffee.massG, waterG: water.massG, ratio };
  }
  if (!ratioTold)
    return coffee
      ? unread(
          'water',
          'The water is not told. Add how much, as in “1 L water”, or a ratio, as in “1:8”.',
        )
      : unread(
          'coffee',
          'The coffee is not told. Add how much, as in “200 g coffee”, or a ratio, as in “1:8”.',
        );
  const ratio: Ranged = {
    value: (ratioTold.low + ratioTold.high) / 2,
    low: ratioTold.low,
    high: ratioTold.high,
  };
  if (coffee) return { coffeeG: coffee.massG, waterG: product(coffee.massG, ratio), ratio };
  if (water) return { coffeeG: quotient(water.massG, ratio), waterG: water.massG, ratio };
  const kilo: Ranged = { value: 1000, low: 1000, high: 1000 };
  notes.push(
    assumed('batch_size', 'Only a ratio is told; a kilogram of coffee is assumed.', ratioTold.span),
  );
  return { coffeeG: kilo, waterG: product(kilo, ratio), ratio };
}

const quotient = (a: Ranged, b: Ranged): Ranged => ({
  value: a.value / b.value,
  low: a.low / b.high,
  high: a.high / b.low,
});
const product = (a: Ranged, b: Ranged): Ranged => ({
  value: a.value * b.value,
  low: a.low * b.low,
  high: a.high * b.high,
});

function hoursOf(input: {
  told: readonly Of<'hours'>[];
  place: ToldPlace | null;
  text: string;
  notes: RecipeNote[];
}): { low: number; high: number } {
  const { told, place, text, notes } = input;
  // The longest is the steep; minutes are for wetting and hanging.
  const steeps = told.filter(({ high }) => high >= 2);
  const numbered = steeps.filter((one) => one.told);
  const [first] = numbered.length > 0 ? numbered : steeps;
  if (!first) {
    const usual = USUAL_HOURS[place ?? 'fridge'];
    notes.push(
      assumed(
        'hours',
        `No time is told; ${usual.low} to ${usual.high} h is usual there.`,
        wholeOf(text),
      ),
    );
    return usual;
  }
  if (!first.told)
    notes.push(
      assumed(
        'hours',
        `${quote(text, first)} is taken for ${first.low} to ${first.high} h.`,
        first.span,
      ),
    );
  return { low: first.low, high: first.high };
}

function marksOf(mentions: readonly Mention[], amounts: readonly SubjectedAmount[]): RecipeMark[] {
  return mentions.flatMap((mention): RecipeMark[] => {
    const { span } = mention;
    switch (mention.kind) {
      case 'amount': {
        const subject = amounts.find((amount) => amount.span === span)?.subject;
        return subject ? [{ span, as: subject }] : [];
      }
      case 'hours':
        return [{ span, as: mention.high >= 2 ? 'steep' : 'wait' }];
      case 'grind':
      case 'form':
      case 'place':
        return [{ span, as: mention.kind }];
      case 'ratio':
      case 'temperature':
        return [{ span, as: mention.kind }];
      case 'claim':
        return [{ span, as: 'strength' }];
    }
  });
}
