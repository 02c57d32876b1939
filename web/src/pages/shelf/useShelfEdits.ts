import { jarOf, type Vessel } from '@ratio/core/brew';
import type { Coffee } from '@ratio/core/coffee';
import { CONSTANTS } from '@ratio/core/constants';
import type { Shop } from '@ratio/core/shop';
import { newId } from '../../api/client.ts';
import { useEdits } from '../../composables/useEdits.ts';
import { useShop } from '../../stores/shop.ts';

/** A coffee of which a bag arrived, and a jar before anybody has said anything about it. */
const newCoffee = (bag: Pick<Coffee, 'name' | 'roast' | 'roastedOn' | 'pricePerKg'>): Coffee => ({
  id: newId(),
  version: 0,
  solubleFrac: CONSTANTS.solubleFrac.value,
  robustaFrac: 0,
  decafFrac: 0,
  looseDensityGPerMl: null,
  ...bag,
});
const newVessel = (use: Vessel['use']): Vessel => ({
  ...jarOf({
    id: newId(),
    version: 0,
    name: use === 'jug' ? 'New jug' : 'New jar',
    brimMl: use === 'jug' ? 2000 : 3000,
  }),
  kind: use === 'jug' ? 'pitcher' : 'jar',
  use,
});

/** Changes of the shelf, each saved as it is made, each with an undo. */
export function useShelfEdits() {
  const shelf = useShop();
  const { shops, coffees, vessels } = shelf.documents;
  const coffee = useEdits<Coffee>({ load: coffees.load, save: coffees.save }, (id) =>
    shelf.coffees.find((one) => one.id === id),
  );
  const vessel = useEdits<Vessel>({ load: vessels.load, save: vessels.save }, (id) =>
    shelf.vessels.find((one) => one.id === id),
  );
  const shop = useEdits<Shop>(shops, () => shelf.shop);

  return {
    coffee: coffee.change,
    vessel: vessel.change,
    shop: shop.change,
    addCoffee: (bag: Parameters<typeof newCoffee>[0]) => coffee.add(newCoffee(bag)),
    /** @returns the new one’s identity */
    async addVessel(use: Vessel['use']): Promise<string> {
      const added = newVessel(use);
      await vessel.add(added);
      return added.id;
    },
  };
}
