/**
 * Stands in for the package by which Element Plus tints a button of any colour. Buttons here have the
 * colours of the style sheet, so that it is never asked, and 7 kB need not be fetched.
 */
export function TinyColor(): never {
  throw new Error('Buttons take their colour from the style sheet.');
}
