import { DomainError, requireWithin } from '../errors.ts';
import { storedCoffeeMl } from '../matter/properties.ts';

/** Coffee in a jug: how much, and how strong. */
export interface JugContent {
  readonly massG: number;
  /** Coffee solids over whole mass, 0–1. */
  readonly strengthFrac: number;
}

const checked = ({ massG, strengthFrac }: JugContent): void => {
  requireWithin({ name: 'massG', value: massG, min: 0, max: 1e6 });
  requireWithin({ name: 'strengthFrac', value: strengthFrac, min: 0, max: 1 });
};

/**
 * Water that brings a jug down to a strength: m(c/c* − 1), because the solids stay.
 *
 * @param input.wantedFrac above 0, at most the jug's strength
 * @returns g
 * @throws {DomainError} out_of_range where the jug is weaker than that already
 */
export function waterToStrengthG(jug: JugContent & { wantedFrac: number }): number {
  const { massG, strengthFrac, wantedFrac } = jug;
  checked(jug);
  requireWithin({ name: 'wantedFrac', value: wantedFrac, min: 1e-6, max: strengthFrac });
  return massG * (strengthFrac / wantedFrac - 1);
}

/**
 * Stronger (or weaker) coffee that brings a jug to a strength: m(c* − c)/(c₂ − c*).
 *
 * @param input.withFrac strength of what is added; the wanted strength lies between it and the jug's
 * @returns g
 * @throws {DomainError} out_of_range where no amount of it does
 */
export function blendToStrengthG(
  jug: JugContent & { wantedFrac: number; withFrac: number },
): number {
  const { massG, strengthFrac, wantedFrac, withFrac } = jug;
  checked(jug);
  const neededG = (massG * (wantedFrac - strengthFrac)) / (withFrac - wantedFrac);
  if (!Number.isFinite(neededG) || neededG < 0)
    throw new DomainError('out_of_range', {
      name: 'wantedFrac',
      value: wantedFrac,
      min: Math.min(strengthFrac, withFrac),
      max: Math.max(strengthFrac, withFrac),
    });
  return neededG;
}

/** @returns what two amounts of coffee are together: masses and solids add up */
export function blended(a: JugContent, b: JugContent): JugContent {
  checked(a);
  checked(b);
  const massG = a.massG + b.massG;
  const solidsG = a.massG * a.strengthFrac + b.massG * b.strengthFrac;
  return { massG, strengthFrac: massG === 0 ? 0 : solidsG / massG };
}

/**
 * A jug stretched with water to last for a rush.
 *
 * @param input.toG whole mass wanted, g, at least what is there
 * @returns the water, g, and the strength that is left
 */
export function stretched(jug: JugContent & { toG: number }): {
  waterG: number;
  strengthFrac: number;
} {
  const { massG, strengthFrac, toG } = jug;
  checked(jug);
  requireWithin({ name: 'toG', value: toG, min: massG, max: 1e6 });
  return { waterG: toG - massG, strengthFrac: toG === 0 ? 0 : (massG * strengthFrac) / toG };
}

/** A jug takes a little more than its mark says (practice). */
const OVER_MARK = 1.02;

/**
 * Whether coffee fits a jug.
 *
 * @param input.capacityMl to the jug's mark, mL; null where it is not known, and anything fits
 * @returns the room that it takes, mL at 4 °C, and whether the jug has it
 */
export function roomFor(input: JugContent & { capacityMl: number | null }): {
  needMl: number;
  fits: boolean;
} {
  const { capacityMl, ...content } = input;
  const needMl = storedCoffeeMl(content);
  return { needMl, fits: capacityMl === null || needMl <= capacityMl * OVER_MARK };
}
