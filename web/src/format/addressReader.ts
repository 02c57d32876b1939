import type { LocationQuery } from 'vue-router';

/**
 * Reads what an address asks for, key by key. What cannot be is as it usually is, and named.
 *
 * @returns `said`: what the address says of a key, where `take` takes it; the usual where it says nothing.
 *   `wrong`: what could not be taken so far, as it stands in the address
 */
export function addressReader(address: LocationQuery) {
  const wrong: string[] = [];
  return {
    wrong: wrong as readonly string[],
    said<T>(key: string, take: (text: string) => T | undefined, usual: T): T {
      const text = address[key];
      if (text === undefined || text === '') return usual;
      const taken = typeof text === 'string' ? take(text) : undefined;
      if (taken === undefined) wrong.push(`${key}=${String(text)}`);
      return taken ?? usual;
    },
  };
}

/** @returns takes a text that is one of some */
export const oneOf =
  <T extends string>(all: readonly T[]) =>
  (text: string): T | undefined =>
    all.find((one) => one === text);

/** @returns takes a number from `min` to `max` */
export const numberFrom =
  (min: number, max: number) =>
  (text: string): number | undefined => {
    const number = Number(text);
    return text.trim() !== '' && number >= min && number <= max ? number : undefined;
  };
