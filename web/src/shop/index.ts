export { useSettings } from './settings.ts';
export { useShop } from './shop.ts';
export { useObservationText } from './useObservationText.ts';
export { useAmountFormat } from './useAmountFormat.ts';
export { useSecondsMs } from './useSecondsMs.ts';
