export { useDays } from './days.ts';
export { useHands } from './hands.ts';
export { useDayShown } from './useDayShown.ts';
export { useDueCall } from './useDueCall.ts';
export { useNextBatch } from './useNextBatch.ts';
export { useSupply } from './useSupply.ts';
export { useToMake } from './useToMake.ts';
export { dayPages } from './pages.ts';
