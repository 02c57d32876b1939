/** One piece of ice on the drawing, px. */
export interface IcePiece {
  readonly x: number;
  readonly y: number;
  readonly turnDeg: number;
}

/**
 * Where pieces of ice float: rows from the fill line down, each as wide as the glass is there, a
 * little out of line. The same glass always looks the same.
 *
 * @param input.count whole pieces
 * @param input.edgePx edge of a piece
 * @param input.lineY the liquid's surface
 * @param input.halfAt half of the glass's width at a height of the drawing
 */
export function icePieces(input: {
  count: number;
  edgePx: number;
  lineY: number;
  floorY: number;
  halfAt: (y: number) => number;
}): IcePiece[] {
  const { count, edgePx, lineY, floorY, halfAt } = input;
  const pieces: IcePiece[] = [];
  let y = lineY + edgePx * 0.45;
  while (pieces.length < count) {
    // Do they reach the bottom? Then the next ones lie behind the first rows.
    if (y > floorY - edgePx / 2) y = lineY + edgePx;
    const reach = halfAt(y) - edgePx * 0.62;
    const inRow = Math.max(1, Math.floor((2 * reach) / (edgePx * 1.12)) + 1);
    for (let i = 0; i < inRow && pieces.length < count; i++) {
      const n = pieces.length;
      const along = inRow === 1 ? 0 : -reach + (2 * reach * i) / (inRow - 1);
      pieces.push({
        x: along + (scatter(n) - 0.5) * edgePx * 0.16,
        y: y + (scatter(n + 77) - 0.5) * edgePx * 0.3,
        turnDeg: (scatter(n + 31) - 0.5) * 44,
      });
    }
    y += edgePx * 1.06;
  }
  return pieces;
}

/** A number 0–1 that looks random and never changes. */
const scatter = (n: number): number => {
  const wave = Math.sin(n * 127.1 + 11.7) * 43758.5453;
  return wave - Math.floor(wave);
};
