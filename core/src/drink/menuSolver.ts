import type { Pantry } from '../pantry/ingredients.ts';
import { solveRequest, type SolvedDrink } from './predict.ts';
import type { PredictDrinkRequest } from './predictSchema.ts';

/** More than any bar has drinks and jugs; what was asked for longest ago goes first. */
const KEPT = 500;

/**
 * Drinks solved from a pantry, each once: a pour, a price or one changed drink leaves the rest of the
 * menu as it was answered.
 *
 * @throws {DomainError} unknown_name for an ingredient that the pantry does not hold
 */
export function createMenuSolver(pantry: Pantry): (request: PredictDrinkRequest) => SolvedDrink {
  const kept = new Map<string, SolvedDrink>();
  return (request) => {
    const key = JSON.stringify(request);
    const solved = kept.get(key) ?? solveRequest(request, pantry);
    kept.delete(key);
    kept.set(key, solved);
    if (kept.size > KEPT) kept.delete(kept.keys().next().value!);
    return solved;
  };
}
