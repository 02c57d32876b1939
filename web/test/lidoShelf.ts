import type { Handler } from './browser.ts';
import {
  LIDO_MORNING,
  lidoCoffees,
  lidoDrinks,
  lidoOpened,
  lidoPantry,
  lidoHouseRecipes,
  lidoShop,
  lidoVessels,
} from '../../demo/lido.ts';

const versioned = <T>(documents: readonly T[]) =>
  documents.map((document) => ({ ...document, version: 1 }));

/** Answers for the lido's shelf, as the server gives them. */
export const lidoShelf: Handler = ({ path }) => {
  const bodies: Record<string, unknown> = {
    '/api/session': {
      needsSignIn: false,
      name: 'unsigned',
      role: 'leads',
      device: null,
      people: [],
      signInHere: false,
    },
    '/api/shop': { ...lidoShop, version: 1, now: LIDO_MORNING, clockFrozen: true },
    '/api/coffees': versioned(lidoCoffees),
    '/api/vessels': versioned(lidoVessels),
    '/api/drinks': versioned(lidoDrinks),
    '/api/pantry': versioned(lidoPantry),
    '/api/house-recipes': versioned(lidoHouseRecipes),
    '/api/opened': versioned(lidoOpened),
    '/api/ledger': { jugs: [], entries: [] },
  };
  return { status: 200, body: bodies[path] ?? [] };
};
