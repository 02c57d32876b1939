<script setup lang="ts" generic="T extends string | number">
/** A few to pick one of, all in sight. */
defineProps<{
  label: string;
  options: readonly { value: T; text: string; name?: string }[];
  /** A tab above what it shows, small ones beside a heading, or links in a sentence. */
  look: 'tab' | 'small' | 'link';
}>();
/** What is picked; null for none. */
const picked = defineModel<T | null>({ required: true });
</script>

<template>
  <span :class="look" role="group" :aria-label="label">
    <button
      v-for="{ value, text, name } in options"
      :key="value"
      type="button"
      :aria-pressed="picked === value"
      :aria-label="name"
      @click="picked = value"
    >
      {{ text }}
    </button>
  </span>
</template>

<style scoped>
.tab,
.small {
  display: flex;
}

.tab {
  flex-wrap: wrap;
  gap: 4px;
}

button {
  min-width: 34px;
  min-height: 32px;
  border: 0;
  border-bottom: 2px solid transparent;
  background: none;
  padding: 0 6px;
  color: var(--ink-soft);
  font-size: var(--t13);
  font-weight: 600;
  white-space: nowrap;
  cursor: pointer;
}

.tab button {
  min-height: var(--touch);
  border-bottom-width: 3px;
  padding: 0 8px;
  font-size: inherit;
}

button[aria-pressed='true'] {
  border-bottom-color: var(--action);
  color: var(--ink);
}

.link button {
  min-width: 0;
  min-height: 28px;
  border: 0;
  padding: 0 4px;
  color: var(--action);
  font-weight: 400;
  text-decoration: underline;
}

.link button[aria-pressed='true'] {
  font-weight: 600;
}
</style>
