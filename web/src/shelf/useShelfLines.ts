import { GRIND_NAMES, type Coffee } from '@ratio/core/coffee';
import type { Vessel } from '@ratio/core/brew';
import type { Shop } from '@ratio/core/shop';
import { dateName, listText, timeOfDay } from '../format/index.ts';
import { useAmountFormat } from '../shop/index.ts';

/** What each thing of the shelf says of itself in one line. */
export function useShelfLines() {
  const format = useAmountFormat();

  return {
    coffee: ({ roast, roastedOn, pricePerKg, robustaFrac, decafFrac }: Coffee): string =>
      listText(
        [
          roast,
          robustaFrac > 0 && `${format.value.percent(robustaFrac, 0)} robusta`,
          decafFrac > 0 && `${format.value.percent(decafFrac, 0)} decaf`,
          roastedOn === null ? 'roast date not known' : `roasted ${dateName(roastedOn)}`,
          pricePerKg === null ? 'price not known' : format.value.pricePerMass(pricePerKg),
        ],
        ' · ',
      ),
    vessel: ({ kind, brimMl, shaken, fitsFridge, use }: Vessel): string =>
      listText(
        [
          kind,
          `${format.value.volume(brimMl)} to the brim`,
          use === 'steep' && (fitsFridge ? 'fits the fridge' : 'not in the fridge'),
          use === 'steep' && shaken && 'will be shaken',
        ],
        ' · ',
      ),
    mill: ({ mill }: Shop): string =>
      GRIND_NAMES.filter((grind) => mill.settings[grind])
        .map((grind) => `${grind} ${mill.settings[grind]}`)
        .join(' · ') || 'no dial noted',
    rooms: ({ roomC, fridgeC, openHours, closeHours }: Shop): string =>
      `room ${format.value.temp(roomC)} · fridge ${format.value.temp(fridgeC)} · open ${timeOfDay(openHours)} to ${timeOfDay(closeHours)}`,
    defaults: ({ defaults: { grind, ratio, hours, place } }: Shop): string =>
      `${grind} · 1:${ratio} · ${hours} h ${place === 'fridge' ? 'in the fridge' : 'on the counter'}`,
    steps: ({ steps }: Shop): string =>
      steps.length === 0 ? 'the usual ones' : 'in the shop’s own order and words',
    checklists: ({ checklists: { opening, closing } }: Shop): string =>
      `${opening.length} lines to open · ${closing.length} to close`,
    filters: ({ filters, scoopMl }: Shop): string =>
      `scoop ${format.value.volume(scoopMl)} · ${filters.length} filter${filters.length === 1 ? '' : 's'}`,
    bar: ({ bar }: Shop): string =>
      `jigger to ${format.value.volume(bar.jiggerMl)} · pump ${format.value.volume(bar.pumpMl)} · siphon ${format.value.volume(bar.siphonMl)}`,
  };
}
