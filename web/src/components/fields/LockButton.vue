<script setup lang="ts">
/** Locks one of the amounts that fix each other; says which are set and which are calculated. */
defineProps<{ what: string; locked: boolean; set: boolean }>();
const emit = defineEmits<{ lock: [] }>();
</script>

<template>
  <button
    type="button"
    :aria-pressed="locked"
    :aria-label="`Lock the ${what}`"
    @click="emit('lock')"
  >
    {{ locked ? 'Locked' : set ? 'Set' : 'Calculated' }}
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
