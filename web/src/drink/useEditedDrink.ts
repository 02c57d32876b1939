import { STARTING_DRINKS, type Drink } from '@ratio/core/drink';
import { useDrinks } from './drinks.ts';
import { newId, useStored } from '../sync/index.ts';

/** A drink before anybody has said anything about it. */
export const newDrink = (order: number): Drink => ({
  ...STARTING_DRINKS[0]!.drink,
  id: newId(),
  version: 0,
  name: 'New drink',
  order,
});

/** The drink as it is changed or new, kept in this browser; null where it is as the menu has it. */
export function useEditedDrink() {
  const drinks = useDrinks();
  const edited = useStored('ratio.drink.edited', null);
  return {
    edited,
    /** A new drink with so much of it entered, for Pour to show. */
    takeInHand: (entered: Partial<Drink>): void => {
      edited.value = { ...newDrink(drinks.drinks.length), ...entered };
    },
  };
}
