import { predictDrink, predictDrinkRequest } from '@ratio/core/drink';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { z } from 'zod';
import { useAmountFormat } from '../../composables/useAmountFormat.ts';

/** What can be filled up with. */
export const FILLS = [
  { value: 'water', text: 'Water' },
  { value: 'whole-milk', text: 'Milk' },
  { value: 'oat-drink', text: 'Oat' },
] as const;

const number = (usual: number, min: number, max: number) =>
  z.coerce.number().min(min).max(max).catch(usual);
/** The sum as it stands in the address, so that a link tells all of it. Per cent, mL and g. */
const asked = z.object({
  way: z.enum(['strength', 'amounts']).catch('strength'),
  from: number(3.5, 0.1, 20),
  cup: number(350, 30, 2000),
  ice: number(150, 0, 1000),
  to: number(1.4, 0.1, 10),
  with: z.enum(FILLS.map(({ value }) => value)).catch('water'),
  coffee: number(120, 0, 2000),
  fill: number(120, 0, 2000),
});
export type Quick = z.infer<typeof asked>;

/** Minutes after pouring at which a drink over ice is looked at. */
const MINUTES = 4;
/** Room for whatever amounts are entered. */
const ROOM_ML = 6000;

/** The one sum that everybody does: to a strength, or of these amounts. It lives in the address. */
export function useQuick() {
  const route = useRoute();
  const router = useRouter();
  const format = useAmountFormat();

  const quick = computed<Quick>(() => asked.parse({ ...route.query }));
  const set = (part: Partial<Quick>): void =>
    void router.replace({ query: { ...quick.value, ...part } as Record<string, string | number> });

  const common = computed(() => {
    const { from, ice } = quick.value;
    return {
      concentrate: { strengthFrac: from / 100, tempC: 4 },
      ice: ice === 0 ? null : { massG: ice, tempC: -2, coffeeFrac: 0, kind: 'cubes' as const },
    };
  });
  /** A cup to a strength: what to pour. */
  const toStrength = computed(() =>
    predictDrink(
      predictDrinkRequest.parse({
        ...common.value,
        cupMl: quick.value.cup,
        fillWith: { ingredient: quick.value.with, tempC: 4 },
        target: {
          strengthFrac: quick.value.to / 100,
          atMinutes: quick.value.ice === 0 ? 0 : MINUTES,
        },
      }),
    ),
  );
  /** These amounts: how strong they are, and how much room they take. */
  const ofAmounts = computed(() =>
    predictDrink(
      predictDrinkRequest.parse({
        ...common.value,
        cupMl: ROOM_ML,
        diluents: [],
        additions: [{ ingredient: quick.value.with, volumeMl: quick.value.fill, tempC: 4 }],
        target: { concentrateMl: quick.value.coffee },
      }),
    ),
  );

  return { quick, set, toStrength, ofAmounts, format, minutes: MINUTES };
}
