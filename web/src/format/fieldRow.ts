import type { Expected, OwnMeasure } from '@ratio/core/units';
import type { AmountKind } from './amountKind.ts';

interface Row {
  readonly label: string;
  /** What the field is called where the row’s label leaves too much to the eye. */
  readonly name?: string;
  readonly placeholder?: string;
}

/** A row that asks for an amount, in the canonical unit of its kind; null where nobody has said it. */
export interface AmountRowOf extends Row {
  readonly note?: string;
  readonly value: number | null;
  readonly kind: AmountKind;
  readonly measures?: readonly OwnMeasure[];
  /** Changes when the field is left, for what is saved at once. */
  readonly lazy?: boolean;
  readonly change: (value: number, quantity: Expected) => void;
}

/** A row that asks for one of a few. */
export interface PickRowOf<T extends string> extends Omit<Row, 'placeholder'> {
  readonly note?: string;
  readonly options: readonly { value: T; label: string; reason?: string }[];
  readonly value: T;
  readonly change: (value: T) => void;
}

/** A row that asks for a text. */
export interface TextRowOf extends Row {
  readonly value: string;
  /** An empty one comes back. */
  readonly needed?: boolean;
  /** Changes as it is typed, for what is not saved yet. */
  readonly live?: boolean;
  readonly change: (text: string) => void;
}

/** A row of a form as data: what it asks, what stands there, and what a change does. */
export type FieldRow =
  | { readonly field: 'amount'; readonly row: AmountRowOf }
  | { readonly field: 'pick'; readonly row: PickRowOf<string> }
  | { readonly field: 'text'; readonly row: TextRowOf };

export const amountRow = (row: AmountRowOf): FieldRow => ({ field: 'amount', row });
export const textRow = (row: TextRowOf): FieldRow => ({ field: 'text', row });
/** The field gives back one of its own options. */
export const pickRow = <T extends string>(row: PickRowOf<T>): FieldRow => ({
  field: 'pick',
  row: { ...row, change: (value) => row.change(value as T) },
});
