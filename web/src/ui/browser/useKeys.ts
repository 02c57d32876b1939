import { onScopeDispose } from 'vue';
import { tinykeys } from 'tinykeys';

/** Where a letter is typed or a key already means something else. */
const TAKES_KEYS = 'input, textarea, [role="slider"], [role="dialog"]';

/**
 * Keys of a page, as long as it is there; not while somebody types.
 *
 * @param keys what each does, by the sign that it types: `n`, `/`, `?`; which signs take Shift
 *   depends on the keyboard
 */
export function useKeys(keys: Readonly<Record<string, () => void>>): void {
  const bound = Object.fromEntries(
    Object.entries(keys).flatMap(([key, does]) => {
      const pressed = (event: KeyboardEvent): void => {
        if ((event.target as HTMLElement).closest(TAKES_KEYS)) return;
        event.preventDefault();
        does();
      };
      return [
        [key, pressed],
        [`Shift+${key}`, pressed],
      ];
    }),
  );
  onScopeDispose(tinykeys(window, bound));
}
