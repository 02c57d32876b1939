import type { BatchActual } from '@ratio/core/batch';
import type { Step } from '@ratio/core/steps';
import { useShop } from './shop.ts';
import { useAmountFormat } from './useAmountFormat.ts';
import { actualText } from '../format/index.ts';

/** @returns what was noted of a batch, in words, with the shop's names of vessels and of the batch's steps */
export function useActualText() {
  const shop = useShop();
  const format = useAmountFormat();
  return (row: BatchActual, steps: readonly Step[] = []): string =>
    actualText(row, {
      format: format.value,
      zone: shop.zone,
      vesselOf: (id) => shop.vessels.find((vessel) => vessel.id === id)?.name ?? 'another vessel',
      stepOf: (key) => steps.find((step) => step.key === key),
    });
}
