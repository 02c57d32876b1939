import { createMenuSolver, drawnG, drinkRequest, pouredIds, type Drink } from '@ratio/core/drink';
import { resolvePantry, type HouseRecipe, type PantryItem } from '@ratio/core/pantry';

/** What the menu is solved from, as it can be sent to a worker. */
export interface Bar {
  readonly drinks: readonly Drink[];
  readonly own: readonly PantryItem[];
  readonly houseRecipes: readonly HouseRecipe[];
  readonly rooms: { readonly roomC: number; readonly fridgeC: number };
}
/** A concentrate by what the drinks take of it. */
export interface JugStrength {
  readonly strengthFrac: number;
  readonly caffeineMgPerG: number;
}
/** What one of each drink takes of a jug, g; null where it cannot be made so. Without those that the shelf does not hold. */
export type Draws = readonly (readonly [drinkId: string, eachG: number | null])[];

interface Question {
  readonly asker: string;
  readonly jug: JugStrength;
  readonly drinks: Drink[];
  readonly draws: (readonly [string, number | null])[];
  readonly answer: (draws: Draws | null) => void;
}

/** Drinks that are solved before newer questions are let in. */
const PIECE = 8;

/** Counts the menu in pieces: the newest question first, and an asker's older one no more. */
export function createMenuCounter() {
  let bar: Bar = { drinks: [], own: [], houseRecipes: [], rooms: { roomC: 20, fridgeC: 4 } };
  let solve = createMenuSolver({});
  let held: (drink: Drink) => boolean = () => false;
  /** Newest last. */
  let open: Question[] = [];
  let isWorking = false;

  function goOn({ jug, drinks, draws }: Question): void {
    for (const drink of drinks.splice(0, PIECE))
      if (held(drink))
        draws.push([drink.id, drawnG(solve(drinkRequest({ drink, jug, shop: bar.rooms })))]);
  }
  async function work(): Promise<void> {
    if (isWorking) return;
    isWorking = true;
    for (let newest = open.at(-1); newest; newest = open.at(-1)) {
      goOn(newest);
      if (newest.drinks.length === 0) {
        open = open.filter((one) => one !== newest);
        newest.answer(newest.draws);
      }
      await new Promise((resolve) => setTimeout(resolve));
    }
    isWorking = false;
  }

  return {
    /** The bar as it is from now on; what is open is asked again by whoever asked it. */
    know(next: Bar): void {
      bar = next;
      const { pantry } = resolvePantry(next);
      solve = createMenuSolver(pantry);
      held = (drink) => pouredIds(drink).every((id) => Object.hasOwn(pantry, id));
    },
    /** @returns null where the same asker has asked again meanwhile */
    draws(asker: string, jug: JugStrength): Promise<Draws | null> {
      open.filter((one) => one.asker === asker).forEach(({ answer }) => answer(null));
      open = open.filter((one) => one.asker !== asker);
      return new Promise((answer) => {
        open.push({ asker, jug, drinks: [...bar.drinks], draws: [], answer });
        void work();
      });
    },
  };
}

export type MenuCounter = ReturnType<typeof createMenuCounter>;
