import { onScopeDispose, ref, type Ref } from 'vue';
import { whenIdle } from './whenIdle.ts';

/** @returns whether the page stands and is idle: what is dear and not asked for at once waits for it */
export function useSettled(): Readonly<Ref<boolean>> {
  const isSettled = ref(false);
  onScopeDispose(whenIdle(() => (isSettled.value = true)));
  return isSettled;
}
