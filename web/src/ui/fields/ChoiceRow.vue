<script setup lang="ts">
/** A row of the choices: what it is with a note beside it, and its field below. */
defineProps<{ label: string; note?: string | undefined }>();
</script>

<template>
  <div class="row">
    <div class="top">
      <span class="label">{{ label }}</span>
      <span v-if="note" class="note soft">{{ note }}</span>
    </div>
    <div class="field">
      <slot />
      <slot name="action" />
    </div>
  </div>
</template>

<style scoped>
.row {
  padding: 5px 0 4px;
  border-bottom: 1px solid var(--hairline);
}

.top {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  font-size: var(--t13);
}

.label {
  flex: none;
}

.note {
  line-height: 1.25;
  text-align: right;
}

.field {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 32px;
}

.field > :first-child {
  flex: 1 1 0;
  min-width: 0;
}
</style>
