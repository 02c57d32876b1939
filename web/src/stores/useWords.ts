import { convert, inOneLine, writeMass, writeTemp, writeVolume, type WayWords } from '@ratio/core';
import { storeToRefs } from 'pinia';
import { computed } from 'vue';
import { useSettings } from './settings.ts';
import { useShop } from './shop.ts';

/** Amounts, temperatures and money as this tablet and this shop write them. */
export function useWords() {
  const { units } = storeToRefs(useSettings());
  const shelf = useShop();
  const words: WayWords = {
    mass: (massG) => inOneLine(writeMass({ massG, units: units.value })),
    volume: (volumeMl) => inOneLine(writeVolume({ volumeMl, units: units.value })),
    temp: (tempC) => inOneLine(writeTemp({ tempC, units: units.value })),
  };
  const money = computed(
    () =>
      new Intl.NumberFormat('en-GB', {
        style: 'currency',
        currency: shelf.shop?.currency ?? 'EUR',
      }),
  );
  return {
    units,
    words,
    ...words,
    /** The same volume in the units that the tablet does not show. */
    otherVolume: (volumeMl: number) =>
      inOneLine(writeVolume({ volumeMl, units: units.value === 'metric' ? 'us' : 'metric' })),
    money: (price: number) => money.value.format(price),
    pct: (frac: number) => `${(100 * frac).toFixed(2)}\u2009%`,
    /** What one unit of a drawing's graduations is, mL. */
    perUnitMl: computed(() =>
      units.value === 'metric' ? 1 : convert({ value: 1, from: 'fluidOunce', to: 'millilitre' }),
    ),
    plainVolume: computed(() =>
      units.value === 'metric' ? ('millilitre' as const) : ('fluidOunce' as const),
    ),
    plainMass: computed(() => (units.value === 'metric' ? ('gram' as const) : ('ounce' as const))),
  };
}
