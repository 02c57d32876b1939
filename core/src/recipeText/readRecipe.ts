import { looseDensityGPerMl, type Grind } from '../coffee/grinds.ts';
import { assignSubjects, type SubjectedAmount } from './assignSubjects.ts';
import { findMentions, type Mention, type Span } from './findMentions.ts';
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
  };
  /** Water temperature that the text states, °C. */
  readonly waterC: number | null;
  readonly claim: { readonly means: Claim; readonly span: Span } | null;
  readonly notes: readonly RecipeNote[];
  readonly marks: readonly RecipeMark[];
}

const USUAL_HOURS = {
  fridge: { low: 16, high: 24 },
  counter: { low: 12, high: 18 },
  warm: { low: 12, high: 18 },
};
const USUAL_GRIND: Grind = 'coarse';

type Of<K extends Mention['kind']> = Extract<Mention, { kind: K }>;

/**
 * Reads a recipe stated in words and spoons.
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
  const [statedGrind] = all('grind');
  const form = formOf(text, all('form'), amounts);
  const grind = statedGrind?.grind ?? USUAL_GRIND;
  const statedRatio = all('ratio')[0];

  const coffee = statedMass({
    amounts,
    subject: 'coffee',
    density: looseDensityGPerMl({ form, grind }),
    text,
    notes,
  });
  const water = statedWater({ amounts, text, notes });
  const vessel = amounts.find(({ subject }) => subject === 'vessel');
  if (!coffee && !water && !statedRatio)
    return unread(
      'everything',
      'No coffee, water or ratio is given. Try “200 g coffee, 1 L water, 16 h in the fridge”.',
    );
  const tied = tieAmounts({ coffee, water, statedRatio, vessel, text, notes });
  if ('status' in tied) return tied;

  if (!statedGrind)
    notes.push(assumed('grind', `No grind is given; ${USUAL_GRIND} is assumed.`, wholeOf(text)));
  const place = all('place')[0]?.place ?? null;
  if (!place)
    notes.push(
      assumed('place', 'No place is given; the fridge is assumed for the strength.', wholeOf(text)),
    );
  const hours = hoursOf({ stated: all('hours'), place, text, notes });
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

function hoursOf(input: {
  stated: readonly Of<'hours'>[];
  place: SteepPlaceWord | null;
  text: string;
  notes: RecipeNote[];
}): { low: number; high: number } {
  const { stated, place, text, notes } = input;
  // The longest is the steep; minutes are for wetting and hanging.
  const steeps = stated.filter(({ high }) => high >= 2);
  const numbered = steeps.filter((one) => one.stated);
  const [first] = numbered.length > 0 ? numbered : steeps;
  if (!first) {
    const usual = USUAL_HOURS[place ?? 'fridge'];
    notes.push(
      assumed(
        'hours',
        `No time is given; ${usual.low} to ${usual.high} h is usual there.`,
        wholeOf(text),
      ),
    );
    return usual;
  }
  if (!first.stated)
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
