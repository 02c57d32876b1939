import { z } from 'zod';

/** Identity of a document: a UUID made by whoever makes the document, or a short name. */
export const idSchema = z
  .string()
  .regex(/^[a-z0-9][a-z0-9-]{0,63}$/, 'An id has small letters, digits and dashes.');

/** An instant, ISO 8601 in UTC. */
export const instantSchema = z.iso.datetime();

/** What every stored document carries: who it is, and how often it has been written. */
export const documentFields = { id: idSchema, version: z.number().int().min(1) };

export const nameSchema = z.string().trim().min(1, 'Give it a name.').max(80);

/** Under which name something was done. */
export const authorSchema = z.string().min(1).max(64);
