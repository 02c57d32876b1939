/** A piece of a recipe's text: plain, or used for something. */
export interface TextPiece {
  readonly text: string;
  readonly as: string | null;
}

/** @returns the text cut into pieces by what was used of it */
export function piecesOf(
  text: string,
  marks: readonly { span: readonly number[]; as: string }[],
): TextPiece[] {
  const pieces: TextPiece[] = [];
  let at = 0;
  for (const { span, as } of marks) {
    const [start, end] = span as [number, number];
    if (start > at) pieces.push({ text: text.slice(at, start), as: null });
    pieces.push({ text: text.slice(start, end), as });
    at = end;
  }
  if (at < text.length) pieces.push({ text: text.slice(at), as: null });
  return pieces;
}
