import type { Batch } from '@ratio/core/batch';
import { computed, type Ref } from 'vue';
import { useStrain } from './useStrain.ts';
import { useShop } from '../shop/index.ts';

/** The last step of a batch at the bench: filling the jugs with what came out. */
export function useFilling(batch: Readonly<Ref<Batch>>) {
  const shop = useShop();
  const strain = useStrain(batch);
  const isUnsaid = computed(() =>
    strain.form.value.entered.fills.some(({ amount }) => amount === null || amount <= 0),
  );
  return {
    ...strain,
    button: computed(() => {
      if (isUnsaid.value) return { text: 'Say what came out', isOff: true };
      const { entered, expected, format, busy } = strain.form.value;
      const names = entered.fills.map(
        ({ vesselId }) => shop.vessels.find(({ id }) => id === vesselId)?.name ?? 'another jug',
      );
      const whole = format.volume(expected.wholeMl);
      return { text: `Fill ${names.join(' and ')}: ${whole}`, isOff: busy };
    }),
    fill: async (): Promise<void> => void (await strain.strain()),
  };
}
