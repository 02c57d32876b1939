import type { SourceMark } from './sourced.ts';

/** A value that an equation uses, and where it is from. */
export interface UsedValue {
  readonly symbol: string;
  readonly name: string;
  readonly value: string;
  readonly source: string;
  readonly mark: SourceMark | 'this batch' | 'this drink';
  /** The number that it is itself, where that is explained beside; what was typed has none. */
  readonly why?: string | undefined;
}

/** Where a number comes from. */
export interface Explanation {
  readonly title: string;
  readonly equation: string;
  /** The same with this batch's numbers put in, and the result. */
  readonly filledIn: string;
  readonly uses: readonly UsedValue[];
  readonly method: string;
}

const MARKS: Readonly<Record<SourceMark, string>> = {
  exact: 'exact',
  published: 'published',
  memory: 'from memory',
  practice: 'common practice',
  ours: 'ours',
};

/** @returns a mark in words */
export const markText = (mark: UsedValue['mark']): string =>
  mark === 'this batch' || mark === 'this drink' ? mark : MARKS[mark];
