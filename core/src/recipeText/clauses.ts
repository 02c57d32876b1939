import type { Span } from './findMentions.ts';

/** What a part of a recipe is about. */
export type Role =
  'brew' | 'bloom' | 'top up' | 'rinse' | 'yield' | 'dilute' | 'serve' | 'keep' | 'wait';

/** A part of the text with one role. */
export interface Clause {
  readonly span: Span;
  readonly role: Role;
}

/** Words that begin another piece of work, behind a comma, an "and" or a "then". */
const VERBS =
  '(?:it|this|that) (?:gives|makes|yields|keeps|lasts)|add|bloom|bottle|chill|cover|cut|dilute|discard|drain|drink|enjoy|fill|filter|give|grind|hang|it keeps|keeps?|leave|let|makes?|mix|pour|press|pre-?wet|push|put|refrigerate|rinse|saturate|serve|shake|sit|squeeze|steep|stir|store|strain|swirl|taste|thin|top|wait|weigh|wet|yields?|you get|brew|soak|stretch|water it|use|drink';
const BREAK = new RegExp(
  `(?:[.!?](?=\\s|$)|[;\\n]+|,?\\s*\\b(?:and then|then|afterwards?|after that|finally|next)\\b\\s*,?|,\\s+|\\s+(?=(?:use|take|you need)\\s+(?:about\\s+)?[\\d½¼¾])|\\s+(?=(?:keeps?|lasts?|makes|yields)\\s+(?:about\\s+)?\\d)|\\s+and\\s+(?=(?:${VERBS})\\b))`,
  'gi',
);

/** Roles by the words that state them, in the order in which they are looked for. */
const ROLE_WORDS: readonly (readonly [Role, RegExp])[] = [
  [
    'keep',
    /\b(?:keeps?|lasts?|good for|stays? fresh|shelf life|store[ds]?|use (?:it )?(?:up )?(?:within|by|in)|will hold|discard after|drink (?:it )?within|best within|up to \w+ (?:days?|weeks?))\b/i,
  ],
  [
    'rinse',
    /\b(?:rinse[ds]?|rinsing|second (?:pour|pass|run|wash|extraction|steep|brew|soak)|(?:through|over) (?:the )?(?:same )?(?:coffee )?(?:grounds|bed|coffee|bag|it|them)(?: again| once more| a second time|(?=\s*(?:$|[.,;])))|over the (?:spent|used|wet|drained) (?:grounds|bed)|through the (?:spent|used|wet|drained)|sparge)\b/i,
  ],
  [
    'serve',
    /\b(?:serve[ds]?|serving|(?<!ready[ -])to drink|per (?:drink|glass|serving|person)|for (?:each|a|one|every) (?:drink|glass|serving)|(?:in|into|over|fill) (?:a|the|each|your|an?) (?:\w+[\s-]){0,4}(?:glass|mug|tumbler|cup)\b(?! (?:of )?(?:water|coffee|grounds))|glass(?:es)? (?:full )?of ice|over (?:\w+ )?ice|in(?:to)? the cup|each (?:glass|cup|drink)|splash of)/i,
  ],
  [
    'dilute',
    /\b(?:cut (?:it|with|this|the)?|dilut\w+|thin(?:ned)? (?:it|with|down|out)|let (?:it )?down|water(?:ed)? (?:it )?down|mix(?:ed)? (?:it )?(?:1 ?: ?\d|(?:1|one)[ -]to[ -]|(?:1|one) part|half and|half-and|with equal|equal|50)|(?:1 ?: ?\d+|one to one) with (?:water|milk)|stretch|equal parts? (?:water|milk|with)|fifty[\s-]fifty|before drinking)\b/i,
  ],
  ['bloom', /\b(?:bloom\w*|pre-?wet\w*|saturate|wet (?:the|it|them)|wetting|first pour)\b/i],
  [
    'top up',
    /\b(?:top(?:ped)? (?:it )?(?:up|off)|the rest|remaining|remainder|second half|other half|another|more)\b/i,
  ],
  [
    'yield',
    /\b(?:makes?|making|yield(?:s|ed|ing)?|gives? (?:you|me|us|about|around|roughly)?|you(?:'|’)?(?:ll| will)? (?:get|have)|produces?|comes? out (?:as|at|to)|came out|ends? up with|enough for|total of)\b/i,
  ],
  ['wait', /\b(?:wait|hang(?:s|ing)?|rest (?:it|for)|drip|drain for|settle|stand for \d+ ?min)\b/i],
];

/**
 * A recipe cut into its pieces of work, each with its role.
 *
 * @returns clauses in the order of the text, without gaps; a serving or a dilution goes on to the end
 *   of its sentence
 */
export function clausesOf(text: string): Clause[] {
  const clauses: Clause[] = [];
  let from = 0;
  let carried: Role | null = null;
  const close = (to: number, endsSentence: boolean): void => {
    if (to > from) {
      const own = roleOf(text.slice(from, to));
      const role: Role = own === 'brew' && carried ? carried : own;
      clauses.push({ span: [from, to], role });
      carried = role === 'serve' || role === 'dilute' || role === 'keep' ? role : null;
    }
    if (endsSentence) carried = null;
    from = to;
  };
  for (const found of text.matchAll(BREAK))
    close(found.index + found[0].length, /[.!?;\n]/.test(found[0]));
  close(text.length, true);
  return clauses;
}

const roleOf = (clause: string): Role =>
  ROLE_WORDS.find(([, words]) => words.test(clause))?.[0] ?? 'brew';

/** @returns the role of the clause that holds a place of the text */
export const roleAt = (clauses: readonly Clause[], at: number): Role =>
  clauses.find(({ span: [start, end] }) => at >= start && at < end)?.role ?? 'brew';

/** Parts of a recipe whose amounts, hours and temperatures are none of the brewing. */
const NO_BREW: ReadonlySet<Role> = new Set(['rinse', 'yield', 'dilute', 'serve', 'keep']);

/** @returns whether a place of the text is about the brewing itself */
export const isBrewing = (clauses: readonly Clause[], at: number): boolean =>
  !NO_BREW.has(roleAt(clauses, at));
