<script setup lang="ts">
import { ElButton, ElDialog } from 'element-plus';
import 'element-plus/theme-chalk/el-overlay.css';
import 'element-plus/theme-chalk/el-dialog.css';
import { ref } from 'vue';
import type { UseUp } from './useUseUp.ts';
import { TextField } from '../ui/fields/index.ts';

/** Asks why something is thrown away: without a reason nothing is. */
const props = defineProps<{ one: UseUp; money: (price: number) => string }>();
const emit = defineEmits<{ throw: [reason: string]; closed: [] }>();

const isOpen = ref(true);
const reason = ref(props.one.isPast ? 'past its day' : '');
function throwIt(): void {
  // It closes already.
  if (!isOpen.value) return;
  emit('throw', reason.value.trim());
  isOpen.value = false;
}
</script>

<template>
  <ElDialog
    v-model="isOpen"
    :title="`Throw away: ${one.name}`"
    width="min(420px, 94vw)"
    @closed="emit('closed')"
  >
    <div class="why">
      <p v-if="one.price !== null" class="soft">It had cost {{ money(one.price) }}.</p>
      <TextField
        label="Why it is thrown away"
        placeholder="past its day, spilt, tasted off"
        :value="reason"
        live
        @change="reason = $event"
      />
      <ElButton type="primary" :disabled="reason.trim() === ''" @click="throwIt"
        >Throw it away</ElButton
      >
    </div>
  </ElDialog>
</template>

<style scoped>
.why {
  display: grid;
  gap: 14px;
}
</style>
