/** One liquid's colour over a stretch of the day. */
export interface Slice {
  readonly fromHours: number;
  readonly toHours: number;
  readonly colour: string;
}

/** Something to do at a time: an edge across its column. */
export interface DayEdge {
  readonly key: string;
  readonly atHours: number;
  readonly text: string;
  readonly note: string;
  readonly state: 'due' | 'later' | 'done';
}

/** A steep in its vessel, as long as the day shows of it. */
export interface DaySteep {
  readonly id: string;
  readonly to: string;
  readonly text: string;
  readonly slices: readonly Slice[];
  readonly edges: readonly DayEdge[];
  /** Its beginning and its end; where one can be moved, by when. */
  readonly fromHours: number;
  readonly toHours: number;
  readonly isPlanned: boolean;
  readonly label: readonly string[];
}

/** A vessel with what stands in it that day. */
export interface DayColumn {
  readonly id: string;
  readonly name: string;
  readonly steeps: readonly DaySteep[];
  /** What it is where nothing is in it. */
  readonly note: string;
}

/** A jug that is poured from, thinner and thinner. */
export interface DayJug {
  readonly id: string;
  readonly label: string;
  readonly colour: string;
  /** What is left at each hour, of the fullest jug, 0–1. */
  readonly left: readonly { readonly atHours: number; readonly frac: number }[];
  readonly text: string;
  readonly isGone: boolean;
}

/** What is to be made by an hour. */
export interface DayMake {
  readonly id: string;
  readonly atHours: number;
  readonly name: string;
  readonly note: string;
  readonly isDue: boolean;
}
