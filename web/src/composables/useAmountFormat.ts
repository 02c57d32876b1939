import { computed, type ComputedRef } from 'vue';
import { amountFormat, type AmountFormat } from '../format/amountFormat.ts';
import { useSettings } from '../stores/settings.ts';
import { useShop } from '../stores/shop.ts';

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
