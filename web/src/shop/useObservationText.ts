import type { ObservationRow } from '@ratio/core/batch';
import type { Step } from '@ratio/core/steps';
import { useShop } from './shop.ts';
import { useAmountFormat } from './useAmountFormat.ts';
import { observationText } from '../format/index.ts';

/** @returns what was noted of a batch, in words, with the shop's names of vessels and of the batch's steps */
export function useObservationText() {
  const shop = useShop();
  const format = useAmountFormat();
  return (row: ObservationRow, steps: readonly Step[] = []): string =>
    observationText(row, {
      format: format.value,
      zone: shop.zone,
      vesselOf: (id) => shop.vessels.find((vessel) => vessel.id === id)?.name ?? 'another vessel',
      stepOf: (key) => steps.find((step) => step.key === key),
    });
}
