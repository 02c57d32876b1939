<script setup lang="ts">
import { whenever } from '@vueuse/core';
import { ref, useTemplateRef } from 'vue';
import { lazyComponent } from '../lazy/index.ts';

/** A text that says more where it is pointed at, touched or reached by key. */
defineProps<{ hint: string }>();
defineOptions({ inheritAttrs: false });

const HintTip = lazyComponent(() => import('./HintTip.vue'));
const text = useTemplateRef<HTMLElement>('text');
const isPointedAt = ref(false);
const isInHand = ref(false);
const wasAsked = ref(false);
whenever(
  () => isPointedAt.value || isInHand.value,
  () => (wasAsked.value = true),
  { immediate: true },
);
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
