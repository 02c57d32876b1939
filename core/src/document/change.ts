import { z } from 'zod';
import { NOUNS } from './nouns.ts';
import { idSchema } from './schema.ts';

/** That a document of a noun changed; who listens reads it again. */
export const changeSchema = z.object({ noun: z.enum(NOUNS), id: idSchema });
export type Change = z.infer<typeof changeSchema>;
