import { useSetAside } from './setAside.ts';
import { isObject, readJson } from './json.ts';
import { isOurs, keptText } from './ours.ts';

/** Kept in one shape for good, and checked by whoever reads it. */
const CHECKED_ELSEWHERE = /^ratio\.(?:outbox|setAside|last\..*)$/;

/**
 * Checks what this browser keeps by a program of other shapes, before anybody reads it. What cannot be
 * read any more is set aside, not lost and not taken for something else.
 */
export async function checkKept(): Promise<void> {
  const foreign = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i)!)
    .filter((key) => key.startsWith('ratio.') && !CHECKED_ELSEWHERE.test(key))
    .filter((key) => !isOurs(localStorage.getItem(key)!));
  if (foreign.length === 0) return;
  // Who begins, or comes back to the same program, needs no schema for it.
  const { SHAPES } = await import('./shapes.ts');
  for (const key of foreign) {
    const text = localStorage.getItem(key)!;
    const parsed = SHAPES[key as keyof typeof SHAPES]?.safeParse(valueOf(text));
    if (parsed?.success) localStorage.setItem(key, keptText(parsed.data));
    else {
      useSetAside().add({ key, text });
      localStorage.removeItem(key);
    }
  }
}

/** What a text says, with or without the shapes of whoever wrote it. */
function valueOf(text: string): unknown {
  const said = readJson(text);
  return isObject(said) && 'by' in said && 'value' in said ? said['value'] : said;
}
