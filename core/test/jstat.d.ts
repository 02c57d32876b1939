/** The part of jStat's own interface that the tests use; it ships no types. */
declare const jstat: {
  readonly binomial: { cdf(k: number, n: number, p: number): number };
  readonly normal: { cdf(x: number, mean: number, sd: number): number };
};
export default jstat;
