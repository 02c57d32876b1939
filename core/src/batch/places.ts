import type { Plan } from './schema.ts';

type Place = Plan['steep'][number]['place'];

/** How warm a place was, or the slurry itself, as a probe measured it. */
export interface ProbeHistory {
  readonly place: Place | 'slurry';
  /** In order of time; °C. */
  readonly samples: readonly { readonly atMs: number; readonly tempC: number }[];
}

/** From when on a batch stood in a place, s from its first pour. */
interface Stand {
  readonly atS: number;
  readonly place: Place;
  readonly tempC: number;
}

/** Samples are averaged over this long: what is shorter a slurry does not feel. */
const PIECE_S = 900;
/** A probe that has said nothing for this long is not believed to say the same still, s. */
const SILENT_S = 1800;

/**
 * Where a batch stood, one place after another, and how warm it was there: each move stands for one that
 * was planned, and what a probe measured for what a place was taken to have.
 *
 * @param input.steep as planned
 * @param input.moves as they were done, in order of time
 * @param input.beganMs first pour, ms since 1970 UTC
 * @returns in order; at least one; the last one goes on for ever
 */
export function placesAsTheyWere(input: {
  steep: Plan['steep'];
  moves: readonly Stand[];
  probes: readonly ProbeHistory[];
  beganMs: number;
}): { durationS: number; tempC: number }[] {
  const { steep, moves, probes, beganMs } = input;
  let endS = 0;
  const planned = steep.map(({ place, tempC, hours }): Stand => {
    const atS = endS;
    endS += hours * 3600;
    return { atS, place, tempC };
  });
  const lastS = moves.at(-1)?.atS ?? 0;
  const later = planned.slice(moves.length + 1).filter(({ atS }) => atS > lastS);
  const stands = [planned[0]!, ...moves, ...later];
  endS = Math.max(endS, lastS + PIECE_S);
  const pieces = stands.flatMap((stand, i) => {
    const untilS = stands[i + 1]?.atS ?? endS;
    return measured({ stand, untilS, probes, beganMs });
  });
  return pieces.map(({ atS, tempC }, i) => ({
    durationS: (pieces[i + 1]?.atS ?? endS) - atS,
    tempC,
  }));
}

/** A stand in pieces as its probe saw it; whole where none did. */
function measured(input: {
  stand: Stand;
  untilS: number;
  probes: readonly ProbeHistory[];
  beganMs: number;
}): Omit<Stand, 'place'>[] {
  const { stand, untilS, probes, beganMs } = input;
  const sums = new Map<number, { sum: number; count: number }>();
  for (const { place, samples } of probes)
    for (const { atMs, tempC } of place === stand.place ? samples : []) {
      const atS = (atMs - beganMs) / 1000;
      if (atS < stand.atS || atS >= untilS) continue;
      const piece = Math.floor((atS - stand.atS) / PIECE_S);
      const { sum, count } = sums.get(piece) ?? { sum: 0, count: 0 };
      sums.set(piece, { sum: sum + tempC, count: count + 1 });
    }
  if (sums.size === 0) return [stand];
  const count = Math.max(1, Math.ceil((untilS - stand.atS) / PIECE_S));
  const pieces: Omit<Stand, 'place'>[] = [];
  let known: { tempC: number; piece: number } | null = null;
  for (let piece = 0; piece < count; piece++) {
    const found = sums.get(piece);
    if (found) known = { tempC: found.sum / found.count, piece };
    const isHeard: boolean = known !== null && (piece - known.piece) * PIECE_S <= SILENT_S;
    const tempC: number = isHeard ? known!.tempC : stand.tempC;
    if (pieces.at(-1)?.tempC !== tempC) pieces.push({ atS: stand.atS + piece * PIECE_S, tempC });
  }
  return pieces;
}
