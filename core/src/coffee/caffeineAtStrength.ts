/**
 * Caffeine of a coffee that is thinned, or read at another strength: it dissolves with the solids, so the
 * two keep their proportion.
 *
 * @param input.caffeineMgPerG caffeine at `strengthFrac`, mg/g
 * @param input.strengthFrac the strength that it belongs to, 0–1
 * @param input.wantedFrac the strength that is asked about, 0–1
 * @returns mg/g; the same as given where there are no solids to follow
 */
export const caffeineAtStrength = (input: {
  caffeineMgPerG: number;
  strengthFrac: number;
  wantedFrac: number;
}): number =>
  input.strengthFrac === 0
    ? input.caffeineMgPerG
    : (input.caffeineMgPerG * input.wantedFrac) / input.strengthFrac;
