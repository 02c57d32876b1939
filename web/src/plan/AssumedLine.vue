<script setup lang="ts">
import { USUAL_COFFEES } from '@ratio/core/coffee';
import { ElButton } from 'element-plus';
import { RouterLink } from 'vue-router';

/** What a plan took for granted, in one line, with the taps that make it exact. */
defineProps<{ coffeeId: string; anyVessel: boolean; mayShelve: boolean }>();
const emit = defineEmits<{ coffee: [id: string] }>();
</script>

<template>
  <p class="assumed no-print">
    <span>
      Assumed:
      <template v-if="USUAL_COFFEES.some(({ id }) => id === coffeeId)">
        a usual coffee,
        <ElButton
          v-for="{ id, roast } in USUAL_COFFEES"
          :key="id"
          link
          :type="id === coffeeId ? 'default' : 'primary'"
          :aria-pressed="id === coffeeId"
          @click="emit('coffee', id)"
          >{{ roast }}</ElButton><template v-if="anyVessel">;</template>
      </template>
      <template v-if="anyVessel"> any vessel that is large enough</template>.
    </span>
    <RouterLink v-if="mayShelve" to="/set-up">Make it exact in five questions</RouterLink>
  </p>
</template>

<style scoped>
.assumed {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0 16px;
  border-bottom: 1px solid var(--hairline);
  font-size: var(--t13);
}

.assumed :deep(.el-button) {
  min-height: 36px;
  margin: 0 8px 0 0;
  padding: 0;
  font-size: var(--t13);
}

.assumed :deep(.el-button:last-of-type) {
  margin-right: 0;
}

.assumed :deep(.el-button[aria-pressed='true']) {
  color: var(--ink);
  font-weight: 700;
}
</style>
