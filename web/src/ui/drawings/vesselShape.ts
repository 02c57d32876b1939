/** A round vessel that widens upwards, or not: a frustum. Lengths in mm, volumes in mL. */
export interface VesselShape {
  readonly brimMl: number;
  readonly heightMm: number;
  readonly bottomRadiusMm: number;
  readonly topRadiusMm: number;
}

const ML_IN_MM3 = 1000;

/**
 * The frustum of a brim volume and height.
 *
 * @param input.taper how much narrower the bottom is than the top, 0…0.5
 */
export function vesselShape(input: {
  brimMl: number;
  heightMm: number;
  taper: number;
}): VesselShape {
  const { brimMl, heightMm, taper } = input;
  const narrow = 1 - taper;
  const topRadiusMm = Math.sqrt(
    (3 * brimMl * ML_IN_MM3) / (Math.PI * heightMm * (1 + narrow + narrow * narrow)),
  );
  return { brimMl, heightMm, topRadiusMm, bottomRadiusMm: topRadiusMm * narrow };
}

/** @returns radius at a height above the bottom, mm */
export const radiusAtMm = (shape: VesselShape, heightMm: number): number =>
  shape.bottomRadiusMm + ((shape.topRadiusMm - shape.bottomRadiusMm) * heightMm) / shape.heightMm;

/** @returns how high a volume stands, mm above the bottom */
export function heightOfMm(shape: VesselShape, volumeMl: number): number {
  const slope = (shape.topRadiusMm - shape.bottomRadiusMm) / shape.heightMm;
  const mm3 = volumeMl * ML_IN_MM3;
  const bottom = shape.bottomRadiusMm;
  if (Math.abs(slope) < 1e-9) return mm3 / (Math.PI * bottom * bottom);
  return (Math.cbrt(bottom ** 3 + (3 * slope * mm3) / Math.PI) - bottom) / slope;
}

/** @returns the volume that stands up to a height, mL */
export function volumeAtMl(shape: VesselShape, heightMm: number): number {
  const bottom = shape.bottomRadiusMm;
  const top = radiusAtMm(shape, heightMm);
  return (Math.PI * heightMm * (bottom * bottom + bottom * top + top * top)) / 3 / ML_IN_MM3;
}

/** How much narrower each kind's bottom is. */
export const TAPER = {
  jar: 0,
  bucket: 0.12,
  pitcher: 0.08,
  jug: 0.06,
  tumbler: 0.24,
  highball: 0.06,
  mug: 0,
  carafe: -0.18,
};
export type VesselKind = keyof typeof TAPER;
