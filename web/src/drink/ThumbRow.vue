<script setup lang="ts">
import { ElSlider } from 'element-plus';
import 'element-plus/theme-chalk/el-slider.css';
import type { AmountKind } from '../format/index.ts';
import { AmountRow } from '../ui/fields/index.ts';

/** An amount that is typed, or found with one thumb. */
defineProps<{
  label: string;
  note?: string;
  /** In the kind’s canonical unit. */
  value: number;
  kind: AmountKind;
  /** The stretch that the thumb goes over. */
  from: number;
  to: number;
  step: number;
}>();
const emit = defineEmits<{ change: [value: number] }>();
</script>

<template>
  <div class="thumb">
    <AmountRow
      :label
      :value
      :kind
      v-bind="note === undefined ? {} : { note }"
      @change="(amount) => emit('change', amount)"
    />
    <ElSlider
      :model-value="value"
      :min="from"
      :max="to"
      :step
      :show-tooltip="false"
      :aria-label="`${label}, by thumb`"
      @input="emit('change', Number($event))"
    />
  </div>
</template>

<style scoped>
.thumb :deep(.el-slider) {
  --el-slider-height: 4px;
  --el-slider-button-size: 26px;
  --el-slider-button-wrapper-size: 44px;
  --el-slider-button-wrapper-offset: -20px;
  height: 40px;
  padding-inline: 14px;
}

.thumb :deep(.row) {
  border-bottom: 0;
}
</style>
