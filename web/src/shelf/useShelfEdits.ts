import { jarOf, type Vessel } from '@ratio/core/brew';
import type { Coffee } from '@ratio/core/coffee';
import { CONSTANTS } from '@ratio/core/constants';
import type { Shop } from '@ratio/core/shop';
import { useShop } from '../shop/index.ts';
import { newId, sentenceOf, useEdits, useNotice, usePhotos } from '../sync/index.ts';
import { smallPhotograph } from '../ui/browser/index.ts';

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
  const shop = useShop();
  const { shops, coffees, vessels } = shop.documents;
  const coffee = useEdits<Coffee>({ load: coffees.load, save: coffees.save }, (id) =>
    shop.coffees.find((one) => one.id === id),
  );
  const vessel = useEdits<Vessel>({ load: vessels.load, save: vessels.save }, (id) =>
    shop.vessels.find((one) => one.id === id),
  );
  const details = useEdits<Shop>(shops, () => shop.document);
  const photos = usePhotos();
  const notice = useNotice();

  return {
    coffee: coffee.change,
    vessel: vessel.change,
    shop: details.change,
    /** Keeps a photograph of how a step is done, and tells what it is called from now on. */
    async stepPhoto(key: string, file: File, keep: (photoId: string) => void): Promise<void> {
      try {
        const at = new Date(shop.readMs()).toISOString();
        const photo = await smallPhotograph(file);
        const what = 'Photograph of a step';
        keep((await photos.keep(`/api/steps/${key}`, photo, { at, what })).id);
      } catch (error) {
        notice.say({ tone: 'wrong', text: `The photograph is not kept. ${sentenceOf(error)}` });
      }
    },
    addCoffee: (bag: Parameters<typeof newCoffee>[0]) => coffee.add(newCoffee(bag)),
    /** @returns the new one’s identity */
    async addVessel(use: Vessel['use']): Promise<string> {
      const added = newVessel(use);
      await vessel.add(added);
      return added.id;
    },
  };
}
