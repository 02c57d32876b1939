<script setup lang="ts">
import { ref, useTemplateRef } from 'vue';
import { fetchedPart } from './fetchedPart.ts';
import { wasEver } from './wasEver.ts';

/** A text that says more where it is pointed at, touched or reached by key. */
defineProps<{ hint: string }>();
defineOptions({ inheritAttrs: false });

const HintTip = fetchedPart(() => import('./HintTip.vue'));
const text = useTemplateRef<HTMLElement>('text');
const isPointedAt = ref(false);
const isInHand = ref(false);
const wasAsked = wasEver(() => isPointedAt.value || isInHand.value);
</script>

<template>
  <span
    ref="text"
    v-bind="$attrs"
    tabindex="0"
    :aria-description="hint"
    @pointerenter="isPointedAt = true"
    @pointerleave="isPointedAt = false"
    @focus="isInHand = true"
    @blur="isInHand = false"
    @keydown.esc="isInHand = false"
    ><slot
  /></span>
  <HintTip v-if="wasAsked && text" :text :hint :open="isPointedAt || isInHand" />
</template>

<style scoped>
span {
  border-bottom: 1px dotted var(--ink-soft);
  cursor: help;
}
</style>
