<script setup lang="ts">
/** A row of the choices: what it is, its field, and a note at the right. */
defineProps<{ label: string; note?: string | undefined; state?: 'held' | 'follows' | undefined }>();
</script>

<template>
  <div class="row">
    <div class="top">
      <span class="label">{{ label }}</span>
      <slot name="action" />
    </div>
    <div class="field">
      <slot />
      <span v-if="note" class="note soft">{{ note }}</span>
    </div>
  </div>
</template>

<style scoped>
.row {
  padding: 7px 0 8px;
  border-bottom: 1px solid var(--hairline);
}

.top {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 20px;
}

.field {
  display: flex;
  align-items: center;
  gap: 10px;
}

.field > :first-child {
  flex: 1 1 0;
  min-width: 0;
}

.note {
  flex: none;
  max-width: 50%;
  text-align: right;
  font-size: var(--t13);
}
</style>
