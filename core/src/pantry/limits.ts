/** The most that one amount of a house recipe may be, g or mL. */
export const MOST_OF_AN_AMOUNT = 50_000;
