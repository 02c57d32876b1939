<script setup lang="ts">
import type { Vessel } from '@ratio/core/brew';
import { CONSTANTS } from '@ratio/core/constants';
import { ElButton } from 'element-plus';
import type { AmountFormat } from '../format/index.ts';
import { PickRow } from '../ui/fields/index.ts';

/** The vessel of a plan, and what stands in its way: in use, not clean, no room, no clean bag. */
defineProps<{
  vessel: Vessel;
  vessels: readonly { value: string; label: string; reason: string }[];
  /** Why the vessel cannot be started in; empty where it can. */
  wrong: string;
  /** Whether it is that nobody said that it was cleaned. */
  dirty: boolean;
  others: readonly { id: string; name: string }[];
  /** More in the fridge than it takes; empty where there is room. */
  fridge: string;
  /** Too few clean bags or inserts; empty where there are enough. */
  filter: string;
  /** Whether it is that nobody said that one was washed. */
  filterUnwashed: boolean;
  format: AmountFormat;
}>();
const emit = defineEmits<{ choose: [vesselId: string]; cleaned: []; washed: [] }>();
</script>

<template>
  <PickRow
    label="Vessel"
    :note="`${format.volume(vessel.brimMl)}, ${100 * (vessel.shaken ? CONSTANTS.shakenHeadspaceFrac : CONSTANTS.headspaceFrac).value} % kept free`"
    :model-value="vessel.id"
    :options="vessels"
    @update:model-value="emit('choose', $event)"
  />
  <div v-if="wrong !== ''" class="in-use" role="alert">
    <p class="due">{{ wrong }}</p>
    <ElButton v-if="dirty" link type="primary" @click="emit('cleaned')">It is clean</ElButton>
    <ElButton
      v-for="{ id, name } in others"
      :key="id"
      link
      type="primary"
      @click="emit('choose', id)"
      >{{ name }}</ElButton
    >
  </div>
  <p v-if="fridge !== ''" class="due in-use" role="status">{{ fridge }}</p>
  <div v-if="filter !== ''" class="in-use" role="status">
    <p class="due">{{ filter }}</p>
    <ElButton v-if="filterUnwashed" link type="primary" @click="emit('washed')"
      >It is washed</ElButton
    >
  </div>
</template>

<style scoped>
.in-use {
  padding: 4px 0;
  font-size: var(--t13);
}

.in-use :deep(.el-button) {
  min-height: 32px;
  margin: 0 14px 0 0;
  padding: 0;
  font-size: var(--t13);
}
</style>
