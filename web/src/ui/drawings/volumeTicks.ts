import { ticks } from 'd3-array';

/** A graduation of a measuring jug. */
export interface VolumeTick {
  readonly volumeMl: number;
  readonly major: boolean;
  readonly label: string;
}

/**
 * Graduations of a vessel: about six labelled ones with unlabelled ones half way; fewer on a small one,
 * which is drawn small.
 *
 * @param input.perUnitMl what one unit of the labels is, mL (1000 for litres)
 */
export function volumeTicks(input: { brimMl: number; perUnitMl: number }): VolumeTick[] {
  const { brimMl, perUnitMl } = input;
  const inUnits = brimMl / perUnitMl;
  const [first = 0, second = inUnits] = ticks(0, inUnits, inUnits < 2 ? 4 : 6);
  // Halves crowd a jug of litres: whole units where there are three or more.
  const step = inUnits >= 3 ? Math.max(1, second - first) : second - first;
  const all: VolumeTick[] = [];
  for (let i = 0; (i * step) / 2 <= inUnits + 1e-9; i++)
    all.push({
      volumeMl: ((i * step) / 2) * perUnitMl,
      major: i % 2 === 0,
      label: String(Number(((i * step) / 2).toFixed(3))),
    });
  return all;
}
