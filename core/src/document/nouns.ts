/** Kinds of documents that pages hold together. */
export const NOUNS = [
  'batches',
  'jugs',
  'drafts',
  'shelf',
  'samples',
  'pantry',
  'drinks',
  'instruments',
  'days',
  'tastings',
] as const;
export type Noun = (typeof NOUNS)[number];
