<script setup lang="ts">
/** One of a list at the side of a page. */
defineProps<{ chosen: boolean }>();
</script>

<template>
  <button type="button" :aria-current="chosen ? 'true' : undefined" :class="{ chosen }">
    <slot />
  </button>
</template>

<style scoped>
button {
  display: grid;
  width: 100%;
  min-height: 42px;
  border: 0;
  border-bottom: 1px solid var(--hairline);
  border-left: 3px solid transparent;
  background: none;
  padding: 4px 10px 3px 7px;
  text-align: left;
  cursor: pointer;
}

.chosen {
  border-left-color: var(--action);
  background: var(--panel);
}
</style>
