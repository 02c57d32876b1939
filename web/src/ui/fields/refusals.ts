import {
  computed,
  inject,
  onUnmounted,
  provide,
  reactive,
  watch,
  type InjectionKey,
  type Ref,
} from 'vue';

/** Fields that refuse what was typed into them, by their identity, with what they are called. */
const KEY: InjectionKey<Map<string, string>> = Symbol('refusals');

/** @returns what the first field is called that is refused around here; null where all are understood */
export function useRefused() {
  const refused = inject(KEY, null);
  return computed(() => refused?.values().next().value ?? null);
}

/**
 * Collects the fields below that refuse what was typed into them: nothing that depends on them is
 * written until they are corrected.
 *
 * @returns what the first of them is called; null where all are understood
 */
export function useRefusals() {
  const above = inject(KEY, null);
  const refused = reactive(new Map<string, string>());
  provide(KEY, refused);
  const firstRefused = computed(() => refused.values().next().value ?? null);
  // What a card refuses, its page does too.
  if (above)
    watch(
      () => [...refused],
      (now, before = []) => {
        for (const [id] of before) above.delete(id);
        for (const [id, label] of now) above.set(id, label);
      },
    );
  return { firstRefused };
}

/** Tells the page above whether a field refuses what was typed into it. */
export function useRefusal(input: {
  id: string;
  label: () => string;
  isRefused: Ref<boolean>;
}): void {
  const { id, label, isRefused } = input;
  const refused = inject(KEY, null);
  if (!refused) return;
  watch(isRefused, (is) => (is ? refused.set(id, label()) : refused.delete(id)), {
    immediate: true,
  });
  onUnmounted(() => refused.delete(id));
}
