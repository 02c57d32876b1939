import { computed, type ComputedRef } from 'vue';
import { useSettings } from './settings.ts';
import { useShop } from './shop.ts';
import { amountFormat, type AmountFormat } from '../format/index.ts';

const UNKNOWN_CURRENCY = 'EUR';

/** How this tablet and this shop write amounts, temperatures and money. */
export function useAmountFormat(): ComputedRef<AmountFormat> {
  const settings = useSettings();
  const shop = useShop();
  return computed(() =>
    amountFormat({
      units: settings.units,
      currency: shop.document?.currency ?? UNKNOWN_CURRENCY,
    }),
  );
}
