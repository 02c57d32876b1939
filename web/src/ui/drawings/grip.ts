/** Where a drawing is gripped, and what the grip changes. */
export interface Grip {
  /** In the units of the drawing. */
  readonly at: { readonly x: number; readonly y: number };
  readonly range: {
    readonly value: number;
    readonly min: number;
    readonly max: number;
    readonly step: number;
  };
  readonly label: string;
  /** The value as it is spoken. */
  readonly valueText: string;
  /** The value at a place on its axis. */
  readonly invert: (place: number) => number;
}
