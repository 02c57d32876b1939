import { shallowRef, watch, type Ref } from 'vue';
import { useMenuCounts } from './menuCounts.ts';
import type { JugStrength } from './menuCounter.ts';
import { whenIdle } from '../ui/browser/index.ts';

type MassesG = ReadonlyMap<string, number | null>;
let askers = 0;

/**
 * A count of the menu from each of some jugs.
 *
 * @param what `draws`: what one of each drink takes, g, null where it cannot be made so; without what
 *   the shelf does not hold. `weekNeeds`: what a week asks for of each house recipe, g
 * @param jugs null where there is nothing to ask yet
 * @returns by id, one for each jug; the last answer until a newer one is there, null before the first
 */
export function useMenuCount(
  what: 'draws' | 'weekNeeds',
  jugs: () => readonly JugStrength[] | null,
): Readonly<Ref<readonly MassesG[] | null>> {
  const counts = useMenuCounts();
  const counted = shallowRef<readonly MassesG[] | null>(null);
  askers += 1;
  // A page that opens is drawn first.
  const opened = new Promise<void>((resolve) => whenIdle(resolve));
  let latest = 0;
  const asker = `${what} ${askers}`;
  watch(
    // A text of what is asked, so that a pour, which changes no strength, asks nothing.
    () => [counts.bar, JSON.stringify(jugs()?.map(strengthOf) ?? null)] as const,
    async ([bar, text]) => {
      const asked = JSON.parse(text) as readonly JugStrength[] | null;
      if (bar === '' || asked === null) return;
      latest += 1;
      const mine = latest;
      await opened;
      if (mine !== latest) return;
      const counter = await counts.counter().catch(() => null);
      if (counter === null || mine !== latest) return;
      const answers = await Promise.all(
        asked.map((jug, i) => counter[what](`${asker}, jug ${i}`, jug)),
      );
      // Asked again meanwhile: that answer counts.
      if (mine === latest) counted.value = answers.map((one) => new Map(one));
    },
    { immediate: true },
  );
  return counted;
}

const strengthOf = ({ strengthFrac, caffeineMgPerG }: JugStrength): JugStrength => ({
  strengthFrac,
  caffeineMgPerG,
});
