import { shallowRef, type ShallowRef } from 'vue';
import { z } from 'zod';
import { ask } from '../api/client.ts';

interface Identified {
  readonly id: string;
  readonly version: number;
}

/** The documents of one kind as the server keeps them, and the one way to write them. */
export interface Documents<T extends Identified> {
  readonly all: ShallowRef<T[]>;
  readonly load: () => Promise<void>;
  /** Writes a document in the version that was seen, 0 for a new one, and reads all of its kind. */
  readonly save: (document: T) => Promise<T>;
  readonly remove: (document: Identified) => Promise<void>;
}

/** @returns documents at an address, each answer parsed */
export function useDocuments<T extends Identified>(
  path: string,
  schema: z.ZodType<T>,
): Documents<T> {
  const all = shallowRef<T[]>([]);
  const listSchema = z.array(schema);

  async function load(): Promise<void> {
    all.value = await ask(listSchema, path);
  }

  return {
    all,
    load,
    save: async ({ id, version, ...body }) => {
      const saved = await ask(schema, `${path}/${id}`, { method: 'PUT', body, version });
      await load();
      return saved;
    },
    remove: async ({ id, version }) => {
      await ask(z.object({ id: z.string() }), `${path}/${id}`, { method: 'DELETE', version });
      await load();
    },
  };
}
