/**
 * Stands in for the package by which D3 mixes colours, for its scales: those here are of lengths, hours
 * and strengths, so that it is never asked, and 5 kB need not be fetched.
 */
export const color = (): null => null;

function none(): never {
  throw new Error('Scales here are of numbers; colours come from the style sheet.');
}
export { none as rgb, none as hsl, none as lab, none as hcl, none as cubehelix };
