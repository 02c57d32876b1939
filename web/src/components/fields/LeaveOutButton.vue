<script setup lang="ts">
/** Takes one thing out of a list. */
defineProps<{ label: string }>();
</script>

<template>
  <button type="button" :aria-label="label">×</button>
</template>

<style scoped>
button {
  min-width: 36px;
  min-height: 36px;
  border: 0;
  background: none;
  font-size: var(--t18);
  cursor: pointer;
}
</style>
