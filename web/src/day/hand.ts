/** Something that needs a hand, and when. */
export interface Hand {
  readonly key: string;
  /** ms since 1970 UTC. */
  readonly atMs: number;
  /** What is done. */
  readonly title: string;
  readonly where: string;
  readonly text: string;
  readonly button: string;
  readonly to: string;
}
