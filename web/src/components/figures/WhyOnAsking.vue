<script setup lang="ts">
import type { Explanation } from '@ratio/core/explanation';
import { defineAsyncComponent, ref, watch } from 'vue';

/** Where a number comes from, fetched when somebody asks for the first time. */
const props = defineProps<{
  explanation: Explanation | null;
  range: string;
  narrowedBy: readonly string[];
}>();
const emit = defineEmits<{ close: [] }>();

const WhyDialog = defineAsyncComponent(() => import('./WhyDialog.vue'));
const wasAsked = ref(false);
watch(
  () => props.explanation,
  (explanation) => (wasAsked.value ||= explanation !== null),
);
</script>

<template>
  <WhyDialog v-if="wasAsked" v-bind="props" @close="emit('close')"><slot /></WhyDialog>
</template>
