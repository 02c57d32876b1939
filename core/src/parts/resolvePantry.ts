import { DomainError } from '../errors.ts';
import { INGREDIENTS, type Ingredient, type Pantry } from '../matter/ingredients.ts';
import type { HousePart } from '../schemas/housePart.ts';
import { makePart, type MadePart } from './makePart.ts';

/** Everything that a shop can pour, and what became of its recipes. */
export interface ResolvedPantry {
  readonly pantry: Pantry;
  readonly made: Readonly<Record<string, MadePart>>;
  /** Why a part could not be made, by its id. */
  readonly broken: Readonly<Record<string, string>>;
}

/**
 * The built-in ingredients, the shop's own (which may stand in for a built-in one of the same id),
 * and the parts that the house makes of them; a part may go into another one.
 *
 * @returns parts that need themselves, or what is not there, are in `broken` and not in the pantry
 */
export function resolvePantry(input: {
  own: readonly Ingredient[];
  parts: readonly HousePart[];
}): ResolvedPantry {
  const pantry: Record<string, Ingredient> = { ...INGREDIENTS };
  for (const one of input.own) pantry[one.id] = one;
  const recipes = new Map(input.parts.map((part) => [part.id, part]));
  const made: Record<string, MadePart> = {};
  const broken: Record<string, string> = {};
  const visiting = new Set<string>();

  function resolve(part: HousePart): void {
    if (made[part.id] || broken[part.id]) return;
    if (visiting.has(part.id)) {
      broken[part.id] = `${part.name} goes into itself. Take it out of its own inputs.`;
      return;
    }
    visiting.add(part.id);
    for (const id of usedBy(part)) {
      const inner = recipes.get(id);
      if (inner) resolve(inner);
    }
    visiting.delete(part.id);
    if (broken[part.id]) return;
    try {
      const result = makePart(part, pantry);
      made[part.id] = result;
      pantry[part.id] = result.ingredient;
    } catch (error) {
      if (!(error instanceof DomainError)) throw error;
      broken[part.id] = reasonOf(error, recipes);
    }
  }
  for (const part of input.parts) resolve(part);
  return { pantry, made, broken };
}

/** @returns ids of what goes into a part */
export const usedBy = (part: HousePart): string[] => [
  ...part.inputs.map(({ ingredient }) => ingredient),
  ...(part.process.method === 'infuse' ? [part.process.match.ingredient] : []),
];

function reasonOf(error: DomainError, recipes: ReadonlyMap<string, HousePart>): string {
  const { name, value, min } = error.data;
  if (error.code === 'unknown_name')
    return `${recipes.get(String(value))?.name ?? `“${String(value)}”`} is not there. Choose another input.`;
  if (name === 'toFrac')
    return `It cannot be reduced that far: ${(100 * Number(min)).toFixed(0)} % of the volume is left when all water is gone.`;
  return 'Nothing goes in yet. Add an input.';
}
