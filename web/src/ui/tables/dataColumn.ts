/** A column of a table: its heading, what stands in it, what it sorts by. */
export interface DataColumn<T> {
  readonly key: string;
  readonly label: string;
  /** The heading is only heard where the cells say it to the eye. */
  readonly isQuiet?: boolean;
  /** What stands in a cell that has no slot of its own. */
  readonly text?: (row: T) => string;
  /** What it sorts by; left out where it does not. */
  readonly by?: (row: T) => string | number;
  /** Figures stand at the right, in their own type. */
  readonly isNumber?: boolean;
  /** The table is laid out before its rows are read: none of them moves a column. */
  readonly minPx: number;
  /** Left out on the other one. */
  readonly on?: 'screen' | 'paper';
}
