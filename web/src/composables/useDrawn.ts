import { shallowRef, watch, type Ref } from 'vue';
import { useDraws } from '../stores/draws.ts';
import type { JugStrength } from '../workers/menuCounter.ts';

let askers = 0;

/**
 * What one of each drink takes of a jug, by drink.
 *
 * @param jug null where there is nothing to ask yet
 * @returns g, null where it cannot be made so; the last answer until a newer one is there, and null
 *   before the first. What the shelf does not hold is not among them.
 */
export function useDrawn(
  jug: () => JugStrength | null,
): Readonly<Ref<ReadonlyMap<string, number | null> | null>> {
  const draws = useDraws();
  const drawn = shallowRef<ReadonlyMap<string, number | null> | null>(null);
  askers += 1;
  const asker = `asker ${askers}`;
  watch(
    // A text, so that what changes neither drinks nor strength asks nothing.
    () => [draws.bar, JSON.stringify(jug())] as const,
    async ([bar, asked]) => {
      const strength = JSON.parse(asked) as JugStrength | null;
      if (bar === '' || strength === null) return;
      const answer = await draws.ask(asker, strength);
      if (answer) drawn.value = new Map(answer);
    },
    { immediate: true },
  );
  return drawn;
}
