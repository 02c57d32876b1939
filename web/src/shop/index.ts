export { useSettings } from './settings.ts';
export { useShop } from './shop.ts';
export { useActualText } from './useActualText.ts';
export { useAmountFormat } from './useAmountFormat.ts';
export { useSecondsMs } from './useSecondsMs.ts';
