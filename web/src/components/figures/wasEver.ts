import { ref, watch, type Ref } from 'vue';

/** @returns whether something has been so at any time: what is only needed then is put up once */
export function wasEver(isSo: () => boolean): Readonly<Ref<boolean>> {
  const was = ref(false);
  watch(isSo, (now) => (was.value ||= now), { immediate: true });
  return was;
}
