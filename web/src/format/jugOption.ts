import type { AmountFormat } from './amountFormat.ts';
import { listText } from './listText.ts';

/** @returns a jug, or a batch that becomes one, as one of a list to choose from */
export const jugOption = (
  jug: { id: string; label: string; coffeeName: string; strengthFrac: number },
  amount: string,
  format: AmountFormat,
): { value: string; label: string; reason: string } => ({
  value: jug.id,
  label: `${jug.label}, ${format.percent(jug.strengthFrac)}`,
  reason: listText([jug.coffeeName, amount]),
});
