import { menuCautions, remedies, remedyText } from '@ratio/core/drink';
import { percentText } from '@ratio/core/units';
import { computed, type Ref } from 'vue';
import { useMenu, type MenuRow } from './menu.ts';
import { costText } from '../format/index.ts';
import { useAmountFormat } from '../shop/index.ts';

/** A drink of the menu as its table shows it. */
export interface MenuLine {
  readonly id: string;
  readonly name: string;
  readonly servings: number;
  readonly wantedFrac: number;
  readonly reachedFrac: number;
  readonly state: string;
  readonly isShort: boolean;
  /** What would bring it to its target; none where it is there. */
  readonly ways: readonly string[];
  readonly caffeine: string;
  readonly energy: string;
  readonly sugar: string;
  readonly cost: string;
  /** The same as numbers, for sorting: cost, price, margin. */
  readonly costs: number;
  readonly asks: number;
  readonly marginFrac: number | null;
  /** What the cost leaves out; empty where nothing. */
  readonly costWithout: string;
  readonly price: string;
  readonly margin: string;
  readonly left: number;
  readonly inAll: number;
  readonly allergens: string;
}

/** The solved menu in words and figures, each serving by itself, and its cautions. */
export function useMenuTable(rows: Readonly<Ref<readonly MenuRow[]>>) {
  const menu = useMenu();
  const format = useAmountFormat();

  /** What is short stands first, the rest as the menu has it. */
  const shortFirst = computed(() =>
    rows.value.toSorted(
      (a, b) => Number(a.solution.status === 'met') - Number(b.solution.status === 'met'),
    ),
  );
  const lines = computed<MenuLine[]>(() =>
    shortFirst.value.map((row) => {
      const { drink, solution, cost } = row;
      const each = (amount: number): string => (amount / drink.servings).toFixed(0);
      const { money } = format.value;
      return {
        id: drink.id,
        name: drink.name,
        servings: drink.servings,
        wantedFrac: row.wantedFrac,
        reachedFrac: solution.strengthFrac,
        state: stateOf(row),
        isShort: solution.status !== 'met',
        ways: remedies(row.input, solution).map((remedy) => remedyText(remedy, format.value)),
        caffeine: each(solution.caffeineMg),
        energy: each(solution.energyKcal),
        sugar: each(solution.sugarG),
        cost: costText(cost, money),
        costs: cost.price,
        asks: drink.price,
        marginFrac: row.marginFrac,
        costWithout: cost.unknown.length === 0 ? '' : `without ${cost.unknown.join(', ')}`,
        price: money(drink.price),
        margin: row.marginFrac === null ? '–' : (100 * row.marginFrac).toFixed(0),
        left: row.left,
        inAll: menu.leftInAll.get(drink.id) ?? 0,
        allergens: row.allergens.join(', ') || '–',
      };
    }),
  );
  const cautions = computed(() =>
    menuCautions(
      rows.value.map(({ drink, solution, cautions: own }) => ({
        name: drink.name,
        servings: drink.servings,
        solution,
        cautions: own,
      })),
    ),
  );

  return { lines, cautions };
}

function stateOf({ solution }: MenuRow): string {
  if (solution.status === 'met') return 'met';
  if (solution.status === 'no_room') return 'no room';
  const needs = solution.needsStrengthFrac;
  return needs === null ? 'out of reach' : `short, needs ${percentText(needs)}`;
}
