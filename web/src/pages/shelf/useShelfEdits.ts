import { jarOf, type Vessel } from '@ratio/core/brew';
import type { Coffee } from '@ratio/core/coffee';
import { CONSTANTS } from '@ratio/core/constants';
import type { Shop } from '@ratio/core/shop';
import { newId } from '../../api/client.ts';
import { useEdits } from '../../composables/useEdits.ts';
import { useShop } from '../../stores/shop.ts';

/** A coffee and a jar before anybody has said anything about them. */
const newCoffee = (roastedOn: string): Coffee => ({
  id: newId(),
  version: 0,
  name: 'New coffee',
  solubleFrac: CONSTANTS.solubleFrac.value,
  robustaFrac: 0,
  decafFrac: 0,
  roast: 'medium',
  roastedOn,
  pricePerKg: null,
  looseDensityGPerMl: null,
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
    addCoffee: () => coffee.add(newCoffee(shelf.now.toISOString().slice(0, 10))),
    addVessel: (use: Vessel['use']) => vessel.add(newVessel(use)),
  };
}
