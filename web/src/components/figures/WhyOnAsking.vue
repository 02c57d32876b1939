<script setup lang="ts" generic="K extends string">
import type { Explanation } from '@ratio/core/explanation';
import { computed, defineAsyncComponent, ref, watch } from 'vue';

/**
 * Where a number comes from, fetched when somebody asks for the first time, and walked from number to
 * number back to what was typed.
 */
const props = defineProps<{
  explained: Readonly<Record<K, Explanation>> | null;
  range: string;
  narrowedBy: readonly string[];
}>();
/** The number that somebody asks about. */
const asked = defineModel<K | null>({ required: true });

const WhyDialog = defineAsyncComponent(() => import('./WhyDialog.vue'));
const wasAsked = ref(false);
/** The numbers that one came by. */
const trail = ref<string[]>([]);
const titleOf = (key: string | undefined): string =>
  (key !== undefined && props.explained?.[key as K]?.title) || '';
const explanation = computed(() => (asked.value && props.explained?.[asked.value]) || null);

watch(asked, (now) => {
  wasAsked.value ||= now !== null;
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
  <WhyDialog
    v-if="wasAsked"
    :explanation
    :before="titleOf(trail.at(-1))"
    :range
    :narrowed-by
    @walk="walk"
    @back="back"
    @close="asked = null"
    ><slot
  /></WhyDialog>
</template>
