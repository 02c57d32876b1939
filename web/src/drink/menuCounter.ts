import {
  createMenuSolver,
  drawnG,
  drinkRequest,
  isPourable,
  weekNeedG,
  type Drink,
  type SolvedDrink,
} from '@ratio/core/drink';
import {
  resolvePantry,
  type HouseRecipe,
  type PantryItem,
  type ResolvedPantry,
} from '@ratio/core/pantry';

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
/** Something by its id, and g of it; null where there is no such amount. */
type Amounts = readonly (readonly [id: string, massG: number | null])[];

type OfMenu = readonly { readonly drink: Drink; readonly solved: SolvedDrink }[];
interface Question {
  readonly asker: string;
  readonly jug: JugStrength;
  readonly drinks: Drink[];
  readonly solved: { drink: Drink; solved: SolvedDrink }[];
  /** null where the same asker has asked again meanwhile. */
  readonly answer: (menu: OfMenu | null) => void;
}

/** Drinks that are solved before newer questions are let in. */
const PIECE = 8;

/** Counts the menu in pieces: the newest question first, and an asker's older one no more. */
export function createMenuCounter() {
  let bar: Bar = { drinks: [], own: [], houseRecipes: [], rooms: { roomC: 20, fridgeC: 4 } };
  let resolved: ResolvedPantry = resolvePantry(bar);
  let solve = createMenuSolver(resolved.pantry);
  /** Newest last. */
  let open: Question[] = [];
  let isWorking = false;

  function goOn({ jug, drinks, solved }: Question): void {
    for (const drink of drinks.splice(0, PIECE))
      if (isPourable(drink, resolved.pantry))
        solved.push({ drink, solved: solve(drinkRequest({ drink, jug, shop: bar.rooms })) });
  }
  async function work(): Promise<void> {
    if (isWorking) return;
    isWorking = true;
    for (let newest = open.at(-1); newest; newest = open.at(-1)) {
      goOn(newest);
      if (newest.drinks.length === 0) {
        open = open.filter((one) => one !== newest);
        newest.answer(newest.solved);
      }
      await new Promise((resolve) => setTimeout(resolve));
    }
    isWorking = false;
  }
  function menuOf(asker: string, jug: JugStrength): Promise<OfMenu | null> {
    open.filter((one) => one.asker === asker).forEach(({ answer }) => answer(null));
    open = open.filter((one) => one.asker !== asker);
    return new Promise((answer) => {
      open.push({ asker, jug, drinks: [...bar.drinks], solved: [], answer });
      void work();
    });
  }

  return {
    /** The bar as it is from now on; what is open is asked again by whoever asked it. */
    know(next: Bar): void {
      bar = next;
      resolved = resolvePantry(next);
      solve = createMenuSolver(resolved.pantry);
    },
    /**
     * What one of each drink takes of a jug.
     *
     * @returns by drink, null where it cannot be made so, without those that the shelf does not hold;
     *   null where the same asker has asked again meanwhile
     */
    async draws(asker: string, jug: JugStrength): Promise<Amounts | null> {
      const menu = await menuOf(asker, jug);
      return menu && menu.map(({ drink, solved }) => [drink.id, drawnG(solved)] as const);
    },
    /** @returns what a week's drinks ask for, by house recipe; null where asked again meanwhile */
    async weekNeeds(asker: string, jug: JugStrength): Promise<Amounts | null> {
      const { made } = resolved;
      const menu = await menuOf(asker, jug);
      const drinks = menu?.map(({ drink, solved: { input, solution } }) => ({
        input,
        solution,
        iceRecipe: drink.ice?.recipe,
        weekCount: drink.weekCount,
      }));
      return drinks
        ? Object.keys(made).map((id) => [id, weekNeedG({ id, drinks, made })] as const)
        : null;
    },
  };
}

export type MenuCounter = ReturnType<typeof createMenuCounter>;
