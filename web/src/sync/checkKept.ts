import { useSetAside } from './setAside.ts';
import { isObject, readJson } from './json.ts';
import { isOurs, keptText } from './ours.ts';

/** Its shape never changes, and its reader checks it. */
const CHECKED_ELSEWHERE = /^ratio\.(?:outbox|setAside|last\..*)$/;

/**
 * Checks what a program with other shapes stored in this browser, before a store reads it. A value that
 * cannot be read any more is set aside; it is neither lost nor misread.
 */
export async function checkKept(): Promise<void> {
  const foreign = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i)!)
    .filter((key) => key.startsWith('ratio.') && !CHECKED_ELSEWHERE.test(key))
    .filter((key) => !isOurs(localStorage.getItem(key)!));
  if (foreign.length === 0) return;
  // An empty storage, or one of this same program, needs no schemas.
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

/** The value of a stored text, with or without the fingerprint of the shapes that wrote it. */
function valueOf(text: string): unknown {
  const said = readJson(text);
  return isObject(said) && 'by' in said && 'value' in said ? said['value'] : said;
}
