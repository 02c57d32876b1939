/** Width of a letter for its height, of Chivo's wider ones. */
const WIDE = 0.5;

/**
 * @param input.roomPx that a text has in a drawing, where no line breaks
 * @param input.letterPx how high its letters are set
 * @param input.end what stands behind it either way
 * @returns the text, or as much of its beginning as has room, with a sign that it goes on
 */
export function cutText(input: {
  text: string;
  roomPx: number;
  letterPx: number;
  end?: string;
}): string {
  const { text, roomPx, letterPx, end = '' } = input;
  const letters = Math.floor(roomPx / (WIDE * letterPx)) - end.length;
  if (text.length <= letters) return text + end;
  return `${text.slice(0, Math.max(1, letters - 1)).trimEnd()}…${end}`;
}
