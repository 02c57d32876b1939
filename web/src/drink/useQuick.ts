import { predictDrink, type PredictDrinkRequest } from '@ratio/core/drink';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { readQuickAddress, type Quick } from './quickAddress.ts';
import { useAmountFormat } from '../shop/index.ts';

/** Minutes after pouring at which a drink over ice is looked at. */
const MINUTES = 4;
/** Room for whatever amounts are entered. */
const ROOM_ML = 6000;
/** How warm all but the ice is, from the fridge, °C. */
const FRIDGE_C = 4;

/** The one sum that everybody does: to a strength, or of these amounts. It lives in the address. */
export function useQuick() {
  const route = useRoute();
  const router = useRouter();
  const format = useAmountFormat();

  const asked = computed(() => readQuickAddress(route.query));
  const quick = computed(() => asked.value.quick);
  /** What the address asks for that cannot be. */
  const wrong = computed(() => asked.value.wrong);
  const set = (part: Partial<Quick>): void =>
    void router.replace({ query: { ...quick.value, ...part } });

  const common = computed<Omit<PredictDrinkRequest, 'cupMl' | 'target'>>(() => {
    const { from, ice } = quick.value;
    return {
      concentrate: { strengthFrac: from / 100, tempC: FRIDGE_C },
      ice: ice === 0 ? null : { massG: ice, tempC: -2, coffeeFrac: 0, kind: 'cubes' },
      additions: [],
      roomC: 22,
      stirredDown: false,
      chilledToC: null,
      servings: 1,
      serve: 'built',
    };
  });
  /** A cup to a strength: what to pour. */
  const toStrength = computed(() =>
    predictDrink({
      ...common.value,
      cupMl: quick.value.cup,
      fillWith: { ingredient: quick.value.with, tempC: FRIDGE_C, proportion: 1 },
      target: {
        strengthFrac: quick.value.to / 100,
        atMinutes: quick.value.ice === 0 ? 0 : MINUTES,
      },
    }),
  );
  /** These amounts: how strong they are, and how much room they take. */
  const ofAmounts = computed(() =>
    predictDrink({
      ...common.value,
      cupMl: ROOM_ML,
      diluents: [],
      additions: [{ ingredient: quick.value.with, volumeMl: quick.value.fill, tempC: FRIDGE_C }],
      target: { concentrateMl: quick.value.coffee, writtenIn: 'volume' },
    }),
  );

  return { quick, wrong, set, toStrength, ofAmounts, format, minutes: MINUTES };
}
