/** How far a constant can be trusted: looked up, defined, recalled, or custom of the trade. */
export type SourceMark = 'exact' | 'published' | 'memory' | 'practice' | 'ours';

/** One constant with where it comes from. `low` and `high` hold 95 % of cases where they are given. */
export interface Sourced {
  readonly value: number;
  readonly unit: string;
  readonly low?: number;
  readonly high?: number;
  readonly source: string;
  readonly mark: SourceMark;
}
