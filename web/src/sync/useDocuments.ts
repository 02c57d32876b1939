import { computed, shallowRef, type Ref } from 'vue';
import { askOrLast } from './askOrLast.ts';
import { useOutbox, type Write } from './outbox.ts';

interface Identified {
  readonly id: string;
  readonly version: number;
}

/** The documents of one kind as the server keeps them, and the one way to write them. */
export interface Documents<T extends Identified> {
  /** With what this tablet has written and the server has not acknowledged yet. */
  readonly all: Readonly<Ref<T[]>>;
  readonly load: () => Promise<void>;
  /** Writes a document in the version that was seen, 0 for a new one, and reads all of its kind. */
  readonly save: (document: T) => Promise<T>;
  readonly remove: (document: Identified) => Promise<void>;
}

/** @returns documents at an address */
export function useDocuments<T extends Identified>(path: string): Documents<T> {
  const outbox = useOutbox();
  const loaded = shallowRef<T[]>([]);
  const all = computed(() =>
    outbox.waiting
      .filter((write) => write.path.startsWith(`${path}/`))
      .reduce(
        (documents, write) => applied(documents, write, write.path.slice(path.length + 1)),
        [...loaded.value],
      ),
  );

  async function load(): Promise<void> {
    loaded.value = await askOrLast<T[]>(path);
  }

  return {
    all,
    load,
    save: async (document) => {
      const { id, version, ...body } = document;
      const write = {
        method: 'PUT' as const,
        path: `${path}/${id}`,
        body,
        version,
        before: bodyOf(all.value.find((one) => one.id === id)),
        what: nameOf(document),
      };
      const sent = await outbox.write<T>(write, (saved) => {
        loaded.value = withOne(loaded.value, saved);
      });
      if (sent.kept) return document;
      await load();
      return sent.answer;
    },
    remove: async (document) => {
      const { id, version } = document;
      const what = `${nameOf(document)}: taken away`;
      const write = { method: 'DELETE' as const, path: `${path}/${id}`, version, what };
      const sent = await outbox.write(write, () => {
        loaded.value = loaded.value.filter((one) => one.id !== id);
      });
      if (!sent.kept) await load();
    },
  };
}

/** @returns a document without identity and version; undefined for none */
export function bodyOf(document: Identified | undefined): object | undefined {
  if (document === undefined) return undefined;
  const { id: _, version: __, ...body } = document;
  return body;
}

const nameOf = (document: Identified): string =>
  'name' in document && typeof document.name === 'string' ? document.name : document.id;

/** Documents with one more write of them. */
function applied<T extends Identified>(
  documents: T[],
  { method, body, version }: Write,
  id: string,
): T[] {
  if (id.includes('/')) return documents;
  if (method === 'DELETE') return documents.filter((one) => one.id !== id);
  const written = { ...(body as object), id, version } as T;
  return withOne(documents, written);
}

/** Documents with one of them replaced by its current version, or a new one added. */
function withOne<T extends Identified>(documents: T[], now: T): T[] {
  return documents.some(({ id }) => id === now.id)
    ? documents.map((one) => (one.id === now.id ? now : one))
    : [...documents, now];
}
