import { vesselNameOf } from '@ratio/core/batch';
import { computed, type Ref } from 'vue';
import { useRouter } from 'vue-router';
import { useDrinks } from '../drink/index.ts';
import { useBatches, useJugs } from '../events/index.ts';
import { listText } from '../format/index.ts';
import { usePantry } from '../pantry/index.ts';
import { useShop } from '../shop/index.ts';

/** Something that can be found: where it is, and what to do on the way. */
interface Found {
  readonly key: string;
  readonly name: string;
  readonly kind: string;
  readonly to: string;
  readonly before?: () => void;
}

const PAGES: readonly Found[] = [
  { key: 'bench', name: 'The day', kind: 'page', to: '/bench' },
  { key: 'week', name: 'The week', kind: 'page', to: '/bench/week' },
  { key: 'calendar', name: 'Calendar of the steeps', kind: 'page', to: '/bench/calendar' },
  { key: 'plan', name: 'Plan a batch', kind: 'page', to: '/plan' },
  { key: 'recipe', name: 'Read a recipe', kind: 'page', to: '/plan/recipe' },
  { key: 'samples', name: 'Small jars first', kind: 'page', to: '/plan/samples' },
  { key: 'steep', name: 'Steeping', kind: 'page', to: '/steep' },
  { key: 'jugs', name: 'Concentrate on hand', kind: 'page', to: '/jugs' },
  { key: 'pour', name: 'Pour a drink', kind: 'page', to: '/pour' },
  { key: 'log', name: 'The log', kind: 'page', to: '/log' },
  { key: 'learning', name: 'Predicted and found', kind: 'page', to: '/log/learning' },
  { key: 'tasting', name: 'Tasting, blind too', kind: 'page', to: '/log/tasting' },
  { key: 'import', name: 'Take an old log in', kind: 'page', to: '/log/import' },
  { key: 'cost', name: 'Cost by week', kind: 'page', to: '/log/cost' },
  { key: 'quick', name: 'Quick dilution', kind: 'page', to: '/pour/quick' },
  { key: 'menu', name: 'The whole menu', kind: 'page', to: '/pour/menu' },
  { key: 'house-recipes', name: 'House recipes', kind: 'page', to: '/shelf/house-recipes' },
  { key: 'ingredients', name: 'Ingredients', kind: 'page', to: '/shelf/ingredients' },
  { key: 'set-up', name: 'Set up in five questions', kind: 'page', to: '/set-up' },
  { key: 'new-jug', name: 'Note a jug from elsewhere', kind: 'page', to: '/jugs/new' },
  { key: 'shelf', name: 'Shelf and defaults', kind: 'page', to: '/shelf' },
];
const MOST = 8;

/** Everything of the shop by name. */
export function useFinder(sought: Readonly<Ref<string>>) {
  const shop = useShop();
  const batches = useBatches();
  const jugs = useJugs();
  const menu = useDrinks();
  const pantry = usePantry();
  const router = useRouter();

  const all = computed<Found[]>(() => [
    ...PAGES,
    ...menu.drinks.map(({ id, name }) => ({
      key: id,
      name,
      kind: 'drink',
      to: `/pour?drink=${id}`,
    })),
    ...jugs.onHand.map(({ id, label, coffeeName }) => ({
      key: id,
      name: listText([label, coffeeName]),
      kind: 'jug',
      to: '/pour',
      before: () => jugs.choose(id),
    })),
    ...batches.steeping.map((batch) => ({
      key: batch.id,
      name: `${batch.coffeeName} in ${vesselNameOf(batch)}`,
      kind: 'steeping',
      to: '/steep',
    })),
    ...pantry.houseRecipes.map(({ id, name }) => ({
      key: id,
      name,
      kind: 'house recipe',
      to: `/shelf/house-recipes?recipe=${id}`,
    })),
    ...pantry.all
      .filter(({ id }) => !Object.hasOwn(pantry.resolved.made, id))
      .map(({ id, name }) => ({
        key: id,
        name,
        kind: 'ingredient',
        to: `/shelf/ingredients?find=${encodeURIComponent(name)}`,
      })),
    ...shop.coffees.map(({ id, name }) => ({ key: id, name, kind: 'coffee', to: '/shelf' })),
    ...shop.vessels.map(({ id, name }) => ({ key: id, name, kind: 'vessel', to: '/shelf' })),
  ]);
  const found = computed(() => {
    const words = sought.value.toLowerCase().split(/\s+/).filter(Boolean);
    const fits = ({ name, kind }: Found) =>
      words.every((word) => `${name} ${kind}`.toLowerCase().includes(word));
    return all.value.filter(fits).slice(0, MOST);
  });
  async function go(key: string): Promise<void> {
    const one = all.value.find((some) => some.key === key);
    one?.before?.();
    if (one) await router.push(one.to);
  }
  return { found, go };
}
