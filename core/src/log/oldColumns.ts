import type { UnitId } from '../units/units.ts';

/** Columns that an old log can have, whether each is needed, and by what headings it is known. */
export const OLD_COLUMNS = {
  date: { name: 'When it began', needed: true, known: /date|began|start|when|day/ },
  coffee: { name: 'Coffee', needed: true, known: /coffee|bean|origin|lot|roast/ },
  dose: { name: 'Coffee in', needed: true, known: /dose|coffee.*(g|mass|weight|in)\b|grams/ },
  water: { name: 'Water in', needed: true, known: /water/ },
  hours: { name: 'Steeped', needed: true, known: /hour|time|steep|duration/ },
  place: { name: 'Place', needed: false, known: /place|where|fridge|counter/ },
  grind: { name: 'Grind', needed: false, known: /grind/ },
  strength: { name: 'Strength', needed: false, known: /strength|tds|reading/ },
  brew: { name: 'Brew out', needed: false, known: /brew|out|yield|came/ },
  note: { name: 'Note', needed: false, known: /note|remark|comment|taste/ },
} as const satisfies Record<string, { name: string; needed: boolean; known: RegExp }>;
export type OldColumn = keyof typeof OLD_COLUMNS;
export const OLD_COLUMN_NAMES = Object.keys(OLD_COLUMNS) as OldColumn[];

/** Which column of the file each is, from 0; −1 for none. */
export type ColumnMatch = Readonly<Record<OldColumn, number>>;

/** Units that a plain number of the file is in. */
export interface OldUnits {
  readonly mass: Extract<UnitId, 'gram' | 'ounce'> | 'kilogram';
  readonly water: Extract<UnitId, 'gram' | 'litre' | 'fluidOunce' | 'quart'>;
}

/** @returns which column each heading is most likely to be */
export function matchColumns(headings: readonly string[]): ColumnMatch {
  const taken = new Set<number>();
  const found = OLD_COLUMN_NAMES.map((column) => {
    const i = headings.findIndex(
      (heading, k) => !taken.has(k) && OLD_COLUMNS[column].known.test(heading.toLowerCase()),
    );
    if (i >= 0) taken.add(i);
    return [column, i] as const;
  });
  return Object.fromEntries(found) as Record<OldColumn, number>;
}
