<script setup lang="ts">
/** Holds one of the amounts that fix each other; says which follow. */
defineProps<{ what: string; pinned: boolean; held: boolean }>();
const emit = defineEmits<{ pin: [] }>();
</script>

<template>
  <button type="button" :aria-pressed="pinned" :aria-label="`Pin the ${what}`" @click="emit('pin')">
    {{ pinned ? 'pinned' : held ? 'held' : 'follows' }}
  </button>
</template>

<style scoped>
button {
  min-height: 28px;
  border: 0;
  background: none;
  padding: 0 0 0 12px;
  color: var(--ink-soft);
  font-size: var(--t13);
  cursor: pointer;
}

button[aria-pressed='true'] {
  color: var(--action);
  font-weight: 700;
}
</style>
