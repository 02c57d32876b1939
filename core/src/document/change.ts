import { z } from 'zod';
import { idSchema } from './schema.ts';

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

/** That a document of a noun changed; who listens reads it again. */
export const changeSchema = z.object({ noun: z.enum(NOUNS), id: idSchema });
export type Change = z.infer<typeof changeSchema>;
