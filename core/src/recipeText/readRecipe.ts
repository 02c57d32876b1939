import { looseDensityGPerMl, type Grind } from '../coffee/grinds.ts';
import { assignSubjects, type SubjectedAmount } from './assignSubjects.ts';
import { readAfterBrew, readDrink, type AfterBrew, type StatedDrink } from './afterBrew.ts';
import { clausesOf, isBrewing, type Clause } from './clauses.ts';
import { findMentions, type Mention, type Span } from './findMentions.ts';
import { isOfPlace, readSteep, type ReadSteep, type SteepPiece } from './readSteep.ts';
import type { FiltrationMethod } from '../brew/filtration.ts';
import type { Ranged } from './ranged.ts';
import { assumed, quote, wholeOf, type RecipeNote } from './recipeNote.ts';
import { tieAmounts, unread, type UnreadRecipe } from './tieAmounts.ts';
import { statedMass, statedWater } from './statedMasses.ts';
import type { Claim, CoffeeFormWord, SteepPlaceWord } from './words.ts';

/** A piece of the text that was used, and what it became. */
interface RecipeMark {
  readonly span: Span;
  readonly as: string;
}

/** A recipe in grams and hours, with what was assumed. */
export interface ReadRecipe {
  readonly status: 'read';
  readonly coffee: { readonly massG: Ranged; readonly grind: Grind; readonly form: CoffeeFormWord };
  readonly water: { readonly massG: Ranged };
  readonly ratio: Ranged;
  readonly steep: {
    readonly hours: { low: number; high: number };
    readonly place: SteepPlaceWord | null;
    /** One place after another. */
    readonly pieces: readonly SteepPiece[];
  };
  /** Share that is stated to be decaffeinated; null where nothing is stated. */
  readonly decafFrac: number | null;
  readonly roast: 'light' | 'medium' | 'dark' | null;
  readonly filtration: FiltrationMethod | null;
  /** Water through the spent grounds, mL. */
  readonly rinseMl: number;
  /** Water into the brew once it is out, mL. */
  readonly addedMl: number;
  readonly yieldMl: AfterBrew['yieldMl'];
  readonly dilution: AfterBrew['dilution'];
  readonly drink: StatedDrink | null;
  /** Water temperature that the text states, °C. */
  readonly waterC: number | null;
  readonly claim: { readonly means: Claim; readonly span: Span } | null;
  readonly notes: readonly RecipeNote[];
  readonly marks: readonly RecipeMark[];
}

const USUAL_GRIND: Grind = 'coarse';

type Of<K extends Mention['kind']> = Extract<Mention, { kind: K }>;

/**
 * Reads a recipe stated in words and spoons.
 *
 * @param text at most a few hundred words of English
 * @returns masses, ratio and steep with their ranges, what was assumed, what does not agree; or
 *   what is missing, with what to add
 */
export function readRecipe(text: string): ReadRecipe | ReadDrinkText | UnreadRecipe {
  const mentions = findMentions(text);
  const whole: Clause = { span: [0, text.length], role: 'brew' };
  return (
    drinkAlone(text, mentions) ??
    readIn(text, mentions, clausesOf(text)) ??
    readIn(text, mentions, [whole]) ??
    unread(
      'everything',
      'No coffee, water or ratio is given. Try “200 g coffee, 1 L water, 16 h in the fridge”.',
    )
  );
}

/** @returns null where no amount is of the brewing, as its clauses have it */
function readIn(
  text: string,
  mentions: readonly Mention[],
  clauses: readonly Clause[],
): ReadRecipe | UnreadRecipe | null {
  const all = <K extends Mention['kind']>(kind: K) =>
    mentions.filter((mention): mention is Of<K> => mention.kind === kind);
  const after = readAfterBrew({ text, mentions, clauses });
  const amounts = assignSubjects({
    text,
    amounts: all('amount').filter(
      ({ span }) => !after.used.has(span) && isBrewing(clauses, span[0]),
    ),
    clauses,
  });
  const notes: RecipeNote[] = [];
  const [statedGrind] = all('grind');
  const form = formOf(text, all('form'), amounts);
  const grind = statedGrind?.grind ?? USUAL_GRIND;
  const [rate] = all('rate');
  const statedRatio = all('ratio').find(({ span }) => !after.used.has(span));
  const looseGPerMl = looseDensityGPerMl({ form, grind });

  const coffee = statedMass({ amounts, subject: 'coffee', density: looseGPerMl, text, notes });
  const water = statedWater({ amounts, text, notes });
  const vessels = amounts.filter(({ subject }) => subject === 'vessel');
  const toLine = vessels.find(({ span }) => /^\s*-?\s*(?:line|mark)\b/i.test(text.slice(span[1])));
  const vessel = toLine ?? vessels[0];
  if (!coffee && !water && !statedRatio && !rate) return null;
  const tied = tieAmounts({
    coffee,
    water,
    statedRatio,
    rate,
    looseGPerMl,
    vessel,
    yieldMl: after.yieldMl,
    text,
    notes,
  });
  if ('status' in tied) return tied;

  if (!statedGrind)
    notes.push(assumed('grind', `No grind is given; ${USUAL_GRIND} is assumed.`, wholeOf(text)));
  const waterC =
    all('temperature').find((one) => isBrewing(clauses, one.span[0]) && !isOfPlace(text, one))
      ?.tempC ?? null;
  const steep = readSteep({ text, mentions, clauses, waterC, notes });
  const claim = all('claim').find(({ span }) => isBrewing(clauses, span[0]) && isClaim(text, span));
  const unused = amounts.filter(({ subject }) => subject === null);
  for (const amount of unused)
    notes.push(
      assumed(
        'unused',
        `${quote(text, amount)} has no part in the recipe here; it is left out.`,
        amount.span,
      ),
    );
  return {
    status: 'read',
    coffee: { massG: tied.coffeeG, grind, form },
    water: { massG: tied.waterG },
    ratio: tied.ratio,
    steep: { hours: steep.hours, place: steep.place, pieces: steep.pieces },
    waterC,
    decafFrac: decafFracOf(text, amounts),
    roast: all('roast')[0]?.roast ?? null,
    filtration: all('filtration').at(-1)?.method ?? null,
    rinseMl: after.rinseMl,
    addedMl: after.addedMl,
    yieldMl: after.yieldMl,
    dilution: after.dilution,
    drink: after.drink,
    claim: claim ? { means: claim.claim, span: claim.span } : null,
    notes: notes.toSorted((a, b) => a.span[0] - b.span[0]),
    marks: marksOf({ mentions, amounts, after, steep }),
  };
}

/** A text that states no batch but a drink. */
export interface ReadDrinkText {
  readonly status: 'drink';
  readonly drink: StatedDrink;
  readonly marks: readonly RecipeMark[];
}

const CONCENTRATE_AMOUNT = /^\s*(?:of\s+)?(?:[\w-]+\s+){0,3}?(?:concentrate|cold brew)\b/i;
const COFFEE_AMOUNT =
  /^\s*(?:of\s+)?(?:ground\s+)?coffee(?!\s+(?:concentrate|syrup|cubes|ice|liqueur))\b/i;
const BREWING =
  /\b(?:steep|grounds?|beans?|grind|coarse|overnight|\d+\s*(?:h|hours?|hrs?)\b|coffee (?:to|and) (?:\w+ )?water)/i;

/** A drink where amounts of concentrate, and no coffee to steep, are stated. */
function drinkAlone(text: string, mentions: readonly Mention[]): ReadDrinkText | null {
  const amounts = mentions.filter((one): one is Of<'amount'> => one.kind === 'amount');
  const follows = (words: RegExp): boolean =>
    amounts.some(({ span }) => words.test(text.slice(span[1])));
  const isLabelled = /\b(?:concentrate|cold brew)\s*[:(]\s*\d/i.test(text);
  if (BREWING.test(text) || follows(COFFEE_AMOUNT)) return null;
  if (!isLabelled && !follows(CONCENTRATE_AMOUNT)) return null;
  const used = new Set<Span>();
  const drink = readDrink({ text, amounts, used, of: [{ span: [0, text.length], role: 'serve' }] });
  if (!drink || drink.concentrateMl === null) return null;
  const marks = amounts.map(({ span }) => ({ span, as: used.has(span) ? 'drink' : 'unused' }));
  return { status: 'drink', drink, marks };
}

/** "A concentrate" states what it is; "80 mL of concentrate" is an amount of it. */
const isClaim = (text: string, [start]: Span): boolean =>
  !/(?<![:\d.])\d+(?:[.,]\d+)?\s*[a-z]+\s+(?:of\s+)?(?:\w+\s+)?$/i.test(text.slice(0, start));

/** Share of the coffee that is stated to be decaffeinated. */
function decafFracOf(text: string, amounts: readonly SubjectedAmount[]): number | null {
  if (!/\bdecaf/i.test(text)) return null;
  const coffees = amounts.filter(({ subject }) => subject === 'coffee');
  const isDecaf = (amount: SubjectedAmount, i: number): boolean =>
    /^[^.;\d]{0,24}\bdecaf/i.test(
      text.slice(amount.span[1], coffees[i + 1]?.span[0] ?? text.length),
    );
  const whole = coffees.reduce((sum, { low, high }) => sum + low + high, 0);
  if (coffees.length < 2 || whole === 0) return /\bhalf[\s-](?:caff?|decaf)/i.test(text) ? 0.5 : 1;
  const decaf = coffees.filter(isDecaf).reduce((sum, { low, high }) => sum + low + high, 0);
  return decaf / whole;
}

/** Beans count only where the scoop held them: "a cup of beans", not "grind the beans". */
function formOf(
  text: string,
  forms: readonly Of<'form'>[],
  amounts: readonly SubjectedAmount[],
): CoffeeFormWord {
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

function marksOf(input: {
  mentions: readonly Mention[];
  amounts: readonly SubjectedAmount[];
  after: AfterBrew;
  steep: ReadSteep;
}): RecipeMark[] {
  const { mentions, amounts, after, steep } = input;
  return mentions.flatMap((mention): RecipeMark[] => {
    const { span } = mention;
    if (after.used.has(span)) return [{ span, as: 'after' }];
    switch (mention.kind) {
      case 'amount': {
        const subject = amounts.find((amount) => amount.span === span)?.subject;
        return [{ span, as: subject ?? 'unused' }];
      }
      case 'hours':
        return [{ span, as: steep.used.has(span) ? 'steep' : 'wait' }];
      case 'place':
        return steep.used.has(span) ? [{ span, as: 'place' }] : [];
      case 'rate':
        return [{ span, as: 'ratio' }];
      case 'claim':
        return [{ span, as: 'strength' }];
      case 'time':
        return [];
      case 'grind':
      case 'form':
      case 'ratio':
      case 'temperature':
      case 'roast':
      case 'filtration':
        return [{ span, as: mention.kind }];
    }
  });
}
