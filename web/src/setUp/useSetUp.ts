import { jarOf } from '@ratio/core/brew';
import { USUAL_COFFEES, type Coffee } from '@ratio/core/coffee';
import type { Shop } from '@ratio/core/shop';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useDrinks } from '../drink/index.ts';
import { useDraft } from '../plan/index.ts';
import { useShop } from '../shop/index.ts';
import { newId, sentenceOf, useNotice, useStored } from '../sync/index.ts';

/** What is asked, one after another. */
export const QUESTIONS = ['coffee', 'vessel', 'steep', 'hours', 'menu'] as const;

/** Five questions that make a fresh shop exact; each answer is kept as it is given. */
export function useSetUp() {
  const shop = useShop();
  const drinks = useDrinks();
  const drafts = useDraft();
  const notice = useNotice();
  const router = useRouter();
  /** Where it stopped. */
  const at = useStored('ratio.setUp', 0);
  const doing = ref(false);

  const coffee = useStored('ratio.setUp.coffee', {
    name: '',
    roast: 'medium',
    pricePerKg: null,
  });
  const vessel = useStored('ratio.setUp.vessel', { name: '', brimMl: null });

  async function next(does: () => Promise<unknown> = () => Promise.resolve()): Promise<void> {
    doing.value = true;
    try {
      await does();
      at.value = at.value + 1;
      if (at.value >= QUESTIONS.length) {
        at.value = 0;
        drafts.restart();
        notice.say({ tone: 'done', text: 'That is all. What you entered is on the shelf.' });
        await router.push('/plan');
      }
    } catch (error) {
      notice.say({ tone: 'wrong', text: `Not kept. ${sentenceOf(error)}` });
    } finally {
      doing.value = false;
    }
  }

  const saveCoffee = () =>
    next(async () => {
      const { name, roast, pricePerKg } = coffee.value;
      const usual = USUAL_COFFEES.find((one) => one.roast === roast)!;
      const entered: Coffee = { ...usual, id: newId(), version: 0, name, pricePerKg };
      await shop.documents.coffees.save(entered);
      coffee.value = { name: '', roast: 'medium', pricePerKg: null };
    });
  const saveVessel = () =>
    next(async () => {
      const { name, brimMl } = vessel.value;
      const entered = jarOf({ id: newId(), version: 0, name, brimMl: brimMl! });
      await shop.documents.vessels.save(entered);
      vessel.value = { name: '', brimMl: null };
    });
  const saveShop = async (part: Partial<Shop>): Promise<void> => {
    const now = shop.document;
    if (!now) return;
    await shop.documents.shops.save({ ...now, ...part }).catch((error: unknown) => {
      notice.say({ tone: 'wrong', text: `Not kept. ${sentenceOf(error)}` });
    });
  };

  return {
    at,
    doing,
    coffee,
    vessel,
    details: computed(() => shop.document),
    drinks,
    next,
    saveCoffee,
    saveVessel,
    saveShop,
    keepMenu: () => next(drinks.keepUsual),
    leave: () => router.push('/plan'),
  };
}
