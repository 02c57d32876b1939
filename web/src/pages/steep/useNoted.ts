import { countedActuals, type BatchActual } from '@ratio/core/batch';
import { computed, type Ref } from 'vue';
import { useAmountFormat } from '../../composables/useAmountFormat.ts';
import { clockTime } from '../../format/formatClock.ts';
import { useShop } from '../../stores/shop.ts';
import { authorOf } from '../../format/authorOf.ts';

/** Rows that stand beside the steps, in words, the last one first. */
export function useNoted(actuals: Readonly<Ref<readonly BatchActual[]>>) {
  const shelf = useShop();
  const format = useAmountFormat();
  const vesselOf = (id: string | null): string =>
    shelf.vessels.find((vessel) => vessel.id === id)?.name ?? 'another vessel';

  function textOf(row: BatchActual): string | null {
    const { kind, note, massG, tempC, strengthFrac, place, vesselId, shareFrac } = row;
    switch (kind) {
      case 'agitated':
        return 'stirred';
      case 'read':
        return `read ${format.value.percent(strengthFrac ?? 0)}`;
      case 'temperature':
        return `${format.value.temp(tempC ?? 0)} inside`;
      case 'moved':
        return place === 'fridge' ? 'put into the fridge' : 'put on the counter';
      case 'decanted':
        return `into ${vesselOf(vesselId)}: ${note}`;
      case 'split-off':
        return `${format.value.percent(shareFrac ?? 0, 0)} of it into ${vesselOf(vesselId)}: ${note}`;
      case 'spilled':
        return `spilt ${format.value.mass(massG ?? 0)}`;
      case 'abandoned':
        return `given up: ${note}`;
      case 'strain-moved':
        return `strain moved to ${clockTime({ at: new Date(row.until ?? row.at), zone: shelf.zone })}`;
      case 'remarked':
        return note;
      case 'weighed':
      case 'poured':
      case 'rinsed':
      case 'came-out':
        return `${kind.replace('-', ' ')} ${format.value.mass(massG ?? 0)}`;
      default:
        return null;
    }
  }

  return computed(() =>
    countedActuals(actuals.value)
      .filter(({ step }) => step === null)
      .flatMap((row) => {
        const text = textOf(row);
        if (text === null) return [];
        return [
          {
            id: row.id,
            when: clockTime({ at: new Date(row.at), zone: shelf.zone }),
            text,
            by: authorOf(row),
            // A share that went over is a batch of its own by now.
            canGoBack: row.kind !== 'split-off',
          },
        ];
      })
      .toReversed(),
  );
}
