/**
 * Stands in for parts that Element Plus brings along and that are never asked for here: filters in the headings
 * of a table, boxes that pick its rows, tips for text that is cut, how many lines a page of a list has, and a
 * number beside a slider. 45 kB need not be fetched.
 */
export function unused(): never {
  throw new Error('Nothing here asks for this part.');
}
export { unused as default, unused as ElCheckbox, unused as ElInputNumber, unused as ElTooltip };
