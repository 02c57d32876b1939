import { scanNumber } from '../units/scanNumber.ts';
import { fluidOunces } from './fluidOunces.ts';
import { roleAt, type Clause } from './clauses.ts';
import type { AmountMention, Mention, Span } from './findMentions.ts';

/** What is done with the brew once it is strained. */
export interface AfterBrew {
  /** So many parts of something to one of the brew. */
  readonly dilution: { readonly proportion: number; readonly with: string } | null;
  /** One drink of it, as it is served. */
  readonly drink: StatedDrink | null;
  /** Water through the spent grounds, or into the jug, mL. */
  readonly rinseMl: number;
  /** Water into the brew once it is out, mL. */
  readonly addedMl: number;
  /** What the text says comes out, mL. */
  readonly yieldMl: { readonly low: number; readonly high: number; readonly span: Span } | null;
  readonly used: ReadonlySet<Span>;
}

/** A drink as somebody states it. */
export interface StatedDrink {
  readonly concentrateMl: number | null;
  readonly additions: readonly { readonly ingredient: string; readonly volumeMl: number }[];
  /** To the rim of its glass, mL; null where no glass is stated. */
  readonly cupMl: number | null;
  readonly ice: { readonly massG: number } | 'full' | null;
}

/** What a drink is mixed of, by its words; the first that fits. */
const INGREDIENTS: readonly (readonly [RegExp, string])[] = [
  [/^(?:of\s+)?(?:\w+\s+){0,2}?(?:concentrate|cold brew|brew|coffee)\b/i, 'concentrate'],
  [/^(?:of\s+)?(?:\w+\s+)?(?:half and half|half-and-half)\b/i, 'half-and-half'],
  [/^(?:of\s+)?(?:\w+\s+)?oat\s*(?:milk|drink)\b/i, 'oat-drink'],
  [/^(?:of\s+)?(?:\w+\s+)?soya?\s*(?:milk|drink)\b/i, 'soy-drink'],
  [/^(?:of\s+)?(?:\w+\s+)?almond\s*(?:milk|drink)\b/i, 'almond-drink'],
  [/^(?:of\s+)?(?:canned |tinned )?coconut\s+milk\b/i, 'coconut-milk'],
  [/^(?:of\s+)?coconut\s+(?:drink|water)\b/i, 'coconut-drink'],
  [/^(?:of\s+)?(?:skim(?:med)?|fat[\s-]free)\s+milk\b/i, 'skim-milk'],
  [/^(?:of\s+)?(?:low[\s-]fat|semi[\s-]skimmed)\s+milk\b/i, 'low-fat-milk'],
  [/^(?:of\s+)?(?:sweetened\s+)?condensed\s+milk\b/i, 'condensed-milk'],
  [/^(?:of\s+)?(?:\w+\s+){0,2}?milk\b/i, 'whole-milk'],
  [/^(?:of\s+)?(?:heavy|whipping|double|sweet)\s+cream\b/i, 'heavy-cream'],
  [/^(?:of\s+)?(?:\w+\s+)?cream\b/i, 'light-cream'],
  [/^(?:of\s+)?(?:rich|2:1)\s+syrup\b/i, 'rich-syrup'],
  [/^(?:of\s+)?maple\s+syrup\b/i, 'maple-syrup'],
  [/^(?:of\s+)?(?:\w+\s+){0,2}?syrup\b/i, 'simple-syrup'],
  [/^(?:of\s+)?honey\b/i, 'honey'],
  [/^(?:of\s+)?(?:\w+\s+)?tonic\b/i, 'tonic-water'],
  [/^(?:of\s+)?(?:\w+\s+)?orange juice\b/i, 'orange-juice'],
  [/^(?:of\s+)?(?:\w+\s+){0,2}?water\b/i, 'water'],
];
const GLASS = /^[\s-]*(?:\w+\s+){0,2}?(?:glass|mug|tumbler|cup|highball)\b/i;
const FULL_OF_ICE =
  /\b(?:full of ice|filled with ice|fill(?:ed)?(?: (?:it|a glass|the glass|a \w+ glass))? with ice|glass of ice|over a (?:full )?glass of (?:\w+ )?ice|packed with ice|ice to the (?:top|rim|brim))/i;
const SPLASH_ML = 15;
const SPLASH =
  /\b(?:a )?(?:splash|dash|touch|drop) of ((?:\w+ ){0,2}?(?:milk|cream|water|tonic|syrup))/gi;

/**
 * What comes after the brew: how it is diluted and served, what is poured through the grounds again,
 * and how much the text says comes out.
 */
export function readAfterBrew(input: {
  text: string;
  mentions: readonly Mention[];
  clauses: readonly Clause[];
}): AfterBrew {
  const { text, mentions, clauses } = input;
  const used = new Set<Span>();
  const amounts = mentions.filter((one): one is AmountMention => one.kind === 'amount');
  const within =
    (...roles: string[]) =>
    ({ span: [start] }: Mention) =>
      roles.includes(roleAt(clauses, start));

  const rinses = amounts.filter(within('rinse'));
  for (const { span } of rinses) used.add(span);

  const steepEnds = mentions.find((one) => one.kind === 'hours' && one.high >= 2)?.span[1];
  const isWater =
    /^\s*(?:of\s+)?(?:(?:cold|fresh|more|filtered)\s+)?(?:water\b|$|[.,;]|and\b|to\b)/i;
  const added = amounts.filter(
    (one) =>
      steepEnds !== undefined &&
      one.span[0] > steepEnds &&
      within('brew', 'top up')(one) &&
      /\b(?:add|top (?:it )?(?:up|off)|pour in)\s+(?:\w+\s+){0,3}$/i.test(
        text.slice(steepEnds, one.span[0]),
      ) &&
      isWater.test(text.slice(one.span[1])) &&
      amounts.filter(({ span }) => span[0] < one.span[0]).length >= 2,
  );
  for (const { span } of added) used.add(span);

  const yields = amounts.filter(
    (one) =>
      within('yield')(one) || yieldsAfter(text, one) || TOPPED_TO.test(text.slice(0, one.span[0])),
  );
  for (const { span } of yields) used.add(span);
  const [stated] = yields;

  const dilutes = mentions.filter(within('dilute', 'serve')).find(({ kind }) => kind === 'ratio');
  if (dilutes) used.add(dilutes.span);
  const dilutionClause = clauses.find(({ role }) => role === 'dilute');
  const isHalf =
    dilutionClause !== undefined &&
    /\b(?:equal|half|fifty|50|same amount|one to one)\b/i.test(text.slice(...dilutionClause.span));
  const inParts = clauses
    .filter(({ role }) => role === 'dilute' || role === 'serve')
    .map(({ span }) => STATED_PARTS.exec(text.slice(...span)))
    .find((found) => found !== null);
  const spoken = inParts ? partsOf(inParts[2]!) / partsOf(inParts[1]!) : null;
  const eachIn = clauses.find(
    ({ role, span }) =>
      (role === 'dilute' || role === 'serve') && EACH_WITH_ONE.test(text.slice(...span)),
  );
  if (eachIn)
    for (const { span } of amounts)
      if (span[0] >= eachIn.span[0] && span[1] <= eachIn.span[1]) used.add(span);
  const asRatio = dilutes?.kind === 'ratio' ? Math.max(dilutes.low, 1 / dilutes.low) : null;
  const parts = spoken ?? asRatio ?? (isHalf || eachIn ? 1 : null);

  const drink = readDrink({
    text,
    amounts: amounts.filter(within('serve', 'dilute')).filter(({ span }) => !used.has(span)),
    used,
    of: clauses.filter(({ role }) => role === 'serve' || role === 'dilute'),
  });
  // Water alone, and nothing that it goes with, is for the whole brew.
  const isForAll =
    drink?.concentrateMl === null &&
    drink.additions.length > 0 &&
    drink.additions.every(({ ingredient }) => ingredient === 'water') &&
    drink.cupMl === null;
  const forAllMl = isForAll ? drink.additions.reduce((sum, one) => sum + one.volumeMl, 0) : 0;
  return {
    dilution:
      parts === null
        ? null
        : { proportion: parts, with: dilutedWith(text.slice(...(dilutionClause?.span ?? [0, 0]))) },
    drink: isForAll ? null : drink,
    rinseMl: sumOf(rinses),
    addedMl: forAllMl + sumOf(added),
    yieldMl: stated ? { low: stated.low, high: stated.high, span: stated.span } : null,
    used,
  };
}

const middleOf = ({ low, high }: AmountMention): number => (low + high) / 2;
const sumOf = (amounts: readonly AmountMention[]): number =>
  amounts.reduce((sum, one) => sum + middleOf(one), 0);

const EACH_WITH_ONE = /\beach (cup|glass|litre|liter|part|jug)\b.*?\b(?:a|an|one|1) \1\b/i;
/** "Top it up with water to 4 litres": what it comes to, and no water by itself. */
const TOPPED_TO = /\b(?:top|fill|bring|make)\w*\s[^.;,]*\bto\s+(?:about\s+)?$/i;
const PART = '(\\d+(?:\\.\\d+)?|one|two|three|four)';
const STATED_PARTS = new RegExp(
  `${PART} parts? (?:of )?(?:\\w+ )?(?:concentrate|cold brew|brew|coffee)[^.]{0,12}?${PART} parts?`,
  'i',
);
const partsOf = (text: string): number => scanNumber({ text, at: 0 })?.value.valueOf() ?? 1;
const dilutedWith = (clause: string): string =>
  /\bmilk\b/i.test(clause) && !/\bwater\b/i.test(clause) ? 'milk' : 'water';

const yieldsAfter = (text: string, { span: [start, end] }: AmountMention): boolean =>
  /\b(?:makes?|yields?|gives?|gets?|produces?)\s+(?:\w+\s+){0,2}$/i.test(text.slice(0, start)) ||
  (/\b(?:for|to make)\s+(?:about\s+)?(?:\w+\s+)?$/i.test(text.slice(0, start)) &&
    /^\s*(?:of )?(?:\w+ )?(?:concentrate|cold brew|brew)\b/i.test(text.slice(end)));

/** @returns a drink out of the amounts of its clauses; null where they state none */
export function readDrink(input: {
  text: string;
  amounts: readonly AmountMention[];
  used: Set<Span>;
  of: readonly Clause[];
}): StatedDrink | null {
  const { text, amounts, used, of } = input;
  let concentrateMl: number | null = null;
  let cupMl: number | null = null;
  let ice: StatedDrink['ice'] = null;
  const additions: { ingredient: string; volumeMl: number }[] = [];
  amounts.forEach((amount, i) => {
    const [, end] = amount.span;
    const after = text.slice(end, amounts[i + 1]?.span[0] ?? text.length);
    // Ounces of a liquid or of a glass are fluid ones.
    const volumeMl = middleOf(fluidOunces(amount));
    if (GLASS.test(after)) cupMl ??= volumeMl;
    else if (/^\s*(?:of\s+)?(?:\w+\s+)?ice\b/i.test(after)) ice = { massG: middleOf(amount) };
    else {
      const isLabelled = /\b(?:concentrate|cold brew)\s*[:(]?\s*$/i.test(
        text.slice(0, amount.span[0]),
      );
      const found =
        (isLabelled ? ([/./, 'concentrate'] as const) : undefined) ??
        INGREDIENTS.find(([words]) => words.test(after.replace(/^[\s,]+/, ''))) ??
        // The first of a serving that is nothing else is the brew itself.
        (concentrateMl === null && /^\s*(?:with|and|over|to|plus|in|,|\+|of it)/i.test(after)
          ? ([/./, 'concentrate'] as const)
          : undefined);
      if (!found) return;
      if (found[1] === 'concentrate') concentrateMl = (concentrateMl ?? 0) + volumeMl;
      else additions.push({ ingredient: found[1], volumeMl });
    }
    used.add(amount.span);
  });
  const words = of.map(({ span }) => text.slice(...span)).join(' ');
  if (ice === null && FULL_OF_ICE.test(words)) ice = 'full';
  for (const [, what] of words.matchAll(SPLASH)) {
    const found = INGREDIENTS.find(([pattern]) => pattern.test(what!));
    if (found) additions.push({ ingredient: found[1], volumeMl: SPLASH_ML });
  }
  const isStated = concentrateMl !== null || additions.length > 0;
  return isStated ? { concentrateMl, additions, cupMl, ice } : null;
}
