/** A field that two people changed, and what each made of it. */
export interface HeldField {
  readonly name: string;
  readonly mine: string;
  readonly theirs: string;
}

const at = (input: unknown, path: string): unknown =>
  path.split('.').reduce<unknown>((part, key) => (part as Record<string, unknown>)?.[key], input);

/** A value as somebody at a page reads it. */
const written = (value: unknown): string =>
  typeof value === 'string' ? `“${value}”` : (JSON.stringify(value) ?? 'nothing');

/** `mill.openHours` as `mill, open hours`. */
const words = (path: string): string =>
  path
    .replaceAll('.', ', ')
    .replaceAll(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`);

/**
 * The fields of a write that both sides changed, with both values.
 *
 * @param held.fields paths such as `mill.name`
 * @param held.current the document as it is on the server
 */
export const fieldsOf = (held: {
  readonly fields: readonly string[];
  readonly write: { readonly body?: unknown };
  readonly current?: unknown;
}): HeldField[] =>
  held.fields.map((path) => ({
    name: words(path),
    mine: written(at(held.write.body, path)),
    theirs: written(at(held.current, path)),
  }));
