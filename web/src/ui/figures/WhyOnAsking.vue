<script setup lang="ts" generic="K extends string">
import type { Explanation } from '@ratio/core/explanation';
import { useEventListener, whenever } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import type { AmountFormat } from '../../format/index.ts';
import { lazyComponent } from '../lazy/index.ts';

/**
 * Where a number comes from, fetched when somebody asks for the first time, and walked from number to
 * number back to what was typed. It stands beside what was touched to ask.
 */
const props = defineProps<{
  explained: Readonly<Record<K, Explanation>> | null;
  range: string;
  narrowedBy: readonly string[];
  format: AmountFormat;
}>();
/** The number that somebody asks about. */
const asked = defineModel<K | null>({ required: true });

const WhyPopover = lazyComponent(() => import('./WhyPopover.vue'));
const wasAsked = ref(false);
whenever(
  () => asked.value !== null,
  () => (wasAsked.value = true),
  { immediate: true },
);
/** The numbers that one came by. */
const trail = ref<string[]>([]);
const titleOf = (key: string | undefined): string =>
  (key !== undefined && props.explained?.[key as K]?.title) || '';
const explanation = computed(() => (asked.value && props.explained?.[asked.value]) || null);

// A key that is pressed on a button is a click on it too.
const touched = shallowRef<HTMLElement | null>(null);
/** What was touched to ask. */
const anchor = shallowRef<HTMLElement | null>(null);
useEventListener(
  'click',
  ({ target }: MouseEvent) =>
    (touched.value = target instanceof Element ? target.closest<HTMLElement>('button') : null),
  { capture: true },
);
watch(asked, (now, last) => {
  if (last === null) anchor.value = touched.value;
  if (now === null) trail.value = [];
});
function walk(why: string): void {
  trail.value.push(asked.value!);
  asked.value = why as K;
}
function back(): void {
  asked.value = trail.value.pop() as K;
}
</script>

<template>
  <WhyPopover
    v-if="wasAsked"
    :explanation
    :anchor
    :before="titleOf(trail.at(-1))"
    :range
    :narrowed-by
    :format
    @walk="walk"
    @back="back"
    @close="asked = null"
    ><slot
  /></WhyPopover>
</template>
