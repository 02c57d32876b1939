<script setup lang="ts">
import type { Plan } from '@ratio/core/batch';
import { ElButton } from 'element-plus';
import { computed } from 'vue';

/** Two tablets changed one draft: both versions, and a choice. */
const props = defineProps<{ mine: Plan; theirs: Plan; write: (plan: Plan) => string }>();
const emit = defineEmits<{ settle: [which: 'mine' | 'theirs'] }>();
const texts = computed(() => ({
  mine: props.write(props.mine),
  theirs: props.write(props.theirs),
}));
</script>

<template>
  <div class="conflict" role="alert">
    <p><strong>Another tablet changed this draft.</strong> Nothing is lost: keep one of the two.</p>
    <p>
      <ElButton type="primary" @click="emit('settle', 'mine')">Keep this one</ElButton>
      {{ texts.mine }}
    </p>
    <p><ElButton @click="emit('settle', 'theirs')">Take the other</ElButton> {{ texts.theirs }}</p>
  </div>
</template>

<style scoped>
.conflict {
  grid-column: 1 / -1;
  display: grid;
  gap: 8px;
  border-left: 4px solid var(--due-mark);
  background: var(--panel);
  padding: 12px 20px;
}
</style>
