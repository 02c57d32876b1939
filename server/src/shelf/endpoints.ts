import { coffeeSchema, type Coffee } from '@ratio/core/coffee';
import { vesselSchema, type Vessel } from '@ratio/core/brew';
import { documentEndpoints, type Endpoint } from '../endpoint.ts';
import type { KeptDocuments } from '../keepDocuments.ts';

/** What the shop brews with. */
export const shelfEndpoints = (shelf: {
  coffees: KeptDocuments<Coffee>;
  vessels: KeptDocuments<Vessel>;
}): readonly Endpoint[] => [
  ...documentEndpoints({
    path: '/api/coffees',
    schema: coffeeSchema,
    list: 'Coffees on the shelf',
    save: 'Change a coffee, or put a new one on the shelf; needs If-Match, 0 for a new one',
    documents: shelf.coffees,
  }),
  ...documentEndpoints({
    path: '/api/vessels',
    schema: vesselSchema,
    list: 'Vessels to steep in, largest first',
    save: 'Change a vessel, or put a new one on the shelf; needs If-Match, 0 for a new one',
    documents: shelf.vessels,
  }),
];
