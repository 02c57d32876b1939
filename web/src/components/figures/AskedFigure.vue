<script setup lang="ts">
import BigFigure from './BigFigure.vue';

/** A figure that says where it comes from when it is tapped. */
defineProps<{ label: string; figure: string; unit: string }>();
const emit = defineEmits<{ why: [] }>();
</script>

<template>
  <button type="button" title="Why this number" @click="emit('why')">
    <BigFigure size="small" :label :figure :unit />
  </button>
</template>

<style scoped>
button {
  border: 0;
  background: none;
  padding: 0;
  text-align: left;
  cursor: pointer;
}

button :deep(h2) {
  color: var(--action);
  text-decoration: underline;
}
</style>
