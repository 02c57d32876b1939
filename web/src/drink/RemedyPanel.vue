<script setup lang="ts">
import type { Caution } from '@ratio/core/caution';
import { ElButton } from 'element-plus';
import type { AmountFormat } from '../format/index.ts';
import { CautionList } from '../ui/figures/index.ts';

/** Why a drink is out of reach, and what would reach it: each applied by a tap where it can be. */
defineProps<{
  why: Caution;
  format: AmountFormat;
  remedies: readonly {
    readonly name: string;
    readonly text: string;
    readonly canApply: boolean;
  }[];
}>();
const emit = defineEmits<{ apply: [name: string] }>();
</script>

<template>
  <div class="reach">
    <CautionList :cautions="[why]" :format />
    <template v-if="remedies.length > 0">
      <p><strong>What would reach it</strong></p>
      <ul>
        <li v-for="{ name, text, canApply } in remedies" :key="name">
          <ElButton v-if="canApply" @click="emit('apply', name)">{{ text }}</ElButton>
          <template v-else>{{ text }}</template>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.reach {
  display: grid;
  gap: 4px;
  font-size: var(--t13);
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
}

li {
  display: flex;
  align-items: center;
  min-height: 36px;
}

li .el-button {
  margin: 0;
  height: auto;
  min-height: 36px;
  padding: 4px 10px;
  font-size: var(--t13);
  font-weight: 400;
  white-space: normal;
}
</style>
