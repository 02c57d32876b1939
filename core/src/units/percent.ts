/**
 * A fraction as a percentage, without its sign.
 *
 * @param frac any fraction; 1 is 100 %
 * @param decimals places behind the point, 0…10
 * @example percentFigure(0.0345) // '3.45'
 */
export const percentFigure = (frac: number, decimals = 2): string => (100 * frac).toFixed(decimals);

/** @returns a fraction as a percentage, in a sentence */
export const percentText = (frac: number, decimals = 2): string =>
  `${percentFigure(frac, decimals)} %`;
