import { useBy, type UseBy } from '../calendar/useBy.ts';
import { CONSTANTS } from '../constants.ts';

/**
 * Until when concentrate is used, whether it was strained here, blended or made elsewhere.
 *
 * @param input.fromMs strained or made, ms since 1970 UTC
 * @param input.zone of the shop
 */
export const brewUseBy = (input: { fromMs: number; zone: string }): UseBy =>
  useBy({ ...input, days: CONSTANTS.keepDays.value });
