<script setup lang="ts">
import { ElButton } from 'element-plus';
import type { OfferedFit } from './usePlanClock.ts';

/** A plan that needs a hand while nobody is in, and what would bring it to when somebody is. */
defineProps<{ fits: readonly OfferedFit[] }>();
const emit = defineEmits<{ fit: [fit: OfferedFit] }>();
</script>

<template>
  <section class="nobody" aria-labelledby="nobody">
    <h2 id="nobody" class="due">It needs a hand while nobody is in. Instead:</h2>
    <ElButton v-for="fit in fits" :key="fit.text" @click="emit('fit', fit)">{{
      fit.text
    }}</ElButton>
  </section>
</template>

<style scoped>
.nobody {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  border-left: 3px solid var(--due-mark);
  padding-left: 10px;
}

h2 {
  width: 100%;
}

.nobody .el-button {
  margin: 0;
  height: auto;
  min-height: 32px;
  padding: 2px 10px;
  font-size: var(--t13);
  font-weight: 400;
  text-align: left;
  white-space: normal;
}
</style>
