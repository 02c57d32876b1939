import type { DrinkSolution } from '@ratio/core/drink';
import { computed, type Ref } from 'vue';
import { useMenu } from './menu.ts';
import type { useDrinkInHand } from './useDrinkInHand.ts';
import { useJugs } from '../events/index.ts';

const LEAST_FRAC = 0.001;
const MOST_FRAC = 0.2;

/** What a dragged layer, ice, fill line or minute makes of the drink in hand. */
export function useDragging(input: {
  hand: ReturnType<typeof useDrinkInHand>;
  solution: Readonly<Ref<DrinkSolution | null>>;
  minute: Readonly<Ref<number>>;
}) {
  const { hand, solution, minute } = input;
  const { drink } = hand;
  const jugs = useJugs();
  const menu = useMenu();

  /** Another strength or minute, for this once. */
  function aim(target: { strengthFrac?: number; atMinutes?: number }): void {
    const strengthFrac = target.strengthFrac ?? wanted.value;
    hand.change({
      target: {
        strengthFrac: Math.min(MOST_FRAC, Math.max(LEAST_FRAC, strengthFrac)),
        atMinutes: target.atMinutes ?? minute.value,
      },
    });
  }
  const wanted = computed(() => {
    const target = drink.value?.target;
    return target && 'strengthFrac' in target
      ? target.strengthFrac
      : (solution.value?.strengthFrac ?? 0);
  });

  /** A layer of the drawing was dragged to another volume. */
  function setLayer(key: string, volumeMl: number): void {
    const found = solution.value;
    const now = drink.value;
    if (!found || !now) return;
    const [kind, at] = key.split('-') as [string, string | undefined];
    const index = Number(at);
    if (kind === 'addition') {
      const one = now.additions[index];
      if (one) hand.change({ additions: now.additions.with(index, { ...one, volumeMl }) });
    } else if (kind === 'diluent' && now.diluents.length > 1) {
      const whole = Math.max(2, found.fillMl);
      const mine = Math.min(whole - 1, Math.max(1, volumeMl));
      const others = whole - (found.diluents[index]?.volumeMl ?? 0);
      const diluents = found.diluents.map(({ volumeMl: ml }, i) => {
        const { ingredient, tempC } = now.diluents[i]!;
        const proportion = i === index ? mine : (ml * (whole - mine)) / Math.max(others, 1e-6);
        return { ingredient, tempC, proportion: Number(Math.max(proportion, 0.01).toFixed(2)) };
      });
      hand.change({ diluents });
    } else {
      const concentrateMl =
        kind === 'concentrate' ? volumeMl : found.concentrateMl + found.fillMl - volumeMl;
      aimByHand(Math.max(0, concentrateMl));
    }
  }

  /** The target that an amount of concentrate by hand amounts to, in the drink's own terms. */
  function aimByHand(concentrateMl: number): void {
    const now = drink.value;
    const jug = jugs.chosen;
    if (!now) return;
    const { target } = now;
    if ('concentrateMl' in target) {
      hand.change({ target: { ...target, concentrateMl } });
      return;
    }
    const trial = menu.solve({ ...now, target: { concentrateMl, writtenIn: 'volume' } }, jug);
    if (!trial) return;
    const { caffeineMg, fillMl, timeline } = trial.solution;
    if ('rest' in target) return;
    if ('glassFrac' in target)
      hand.change({
        target: { glassFrac: Math.min(1, Math.max(0.01, concentrateMl / now.cupMl)) },
      });
    else if ('caffeineMg' in target) hand.change({ target: { caffeineMg } });
    else if ('parts' in target) {
      const fill = target.parts.fill || 1;
      const concentrate = Number(((fill * concentrateMl) / Math.max(fillMl, 1)).toFixed(2));
      hand.change({ target: { parts: { concentrate, fill } } });
    } else {
      const at = timeline()[Math.round(minute.value)];
      if (at) aim({ strengthFrac: at.strengthFrac });
    }
  }

  function setIce(massG: number): void {
    const now = drink.value;
    if (!now?.ice) return;
    const { tempC, coffeeFrac, kind, recipe } = now.ice;
    hand.change({ ice: { massG: Math.round(massG), tempC, coffeeFrac, kind, recipe } });
  }

  return {
    wanted,
    aim,
    setLayer,
    setIce,
    setCup: (cupMl: number) => hand.change({ cupMl: Math.round(cupMl) }),
  };
}
