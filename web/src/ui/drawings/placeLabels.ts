/** From one line of a label to the next. */
export const LINE_PX = 16;
const LETTER = 12;
const MOST_LETTERS = 15;

/**
 * Labels beside the layers of a glass: each as near to the middle of its layer as it can be, above
 * the one below it, and clear of what is written there already. Names break to fit beside the glass.
 *
 * @param input.labels from the bottom up; y grows downwards, px
 * @param input.taken what no label may cross
 * @returns the same, with the lines of the name and the y between first line and what it points at;
 *   the amount stands under the name, `lines.length · LINE_PX` below y
 */
export function placeLabels<T extends { name: string; middleY: number }>(input: {
  labels: readonly T[];
  floorY: number;
  taken: { topY: number; bottomY: number };
}): (T & { lines: string[]; y: number })[] {
  const { labels, floorY, taken } = input;
  let below = floorY + 2 * LINE_PX;
  return labels.map((label) => {
    const lines = inLines(label.name);
    const under = lines.length * LINE_PX + 2;
    let y = Math.min(label.middleY, below - under - 2);
    const top = y - LETTER - 2;
    if (top < taken.bottomY && y + under > taken.topY) y = taken.topY - under - 2;
    below = y - LETTER - 2;
    return { ...label, lines, y };
  });
}

function inLines(name: string): string[] {
  const lines: string[] = [];
  for (const word of name.split(' ')) {
    const longer = `${lines.at(-1) ?? ''} ${word}`.trim();
    if (lines.length > 0 && longer.length <= MOST_LETTERS) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}
