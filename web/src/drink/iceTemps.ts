import { CONSTANTS } from '@ratio/core/constants';

/** Where ice comes from, and how cold it is then (practice). */
export const ICE_TEMPS: readonly { readonly tempC: number; readonly reason: string }[] = [
  { tempC: 0, reason: 'wet, about to melt' },
  { tempC: -2, reason: 'out of the bin' },
  { tempC: -10, reason: 'an hour out of the freezer' },
  { tempC: CONSTANTS.freezerIceC.value, reason: 'dry from the freezer' },
];
