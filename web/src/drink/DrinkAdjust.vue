<script setup lang="ts">
import type { Adjustment, AskedFor } from '@ratio/core/drink';
import { ElButton } from 'element-plus';
import TasteRow from './TasteRow.vue';
import { FoldAway } from '../ui/figures/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';

// Once something is changed.
const KeepRow = lazyComponent(() => import('./KeepRow.vue'));

/** What is changed of the drink after a sip, and whether the menu keeps it. */
defineProps<{
  /** What is changed and not kept; null where it is as the menu has it. */
  changes: readonly string[] | null;
  /** What enough people asked for, so that it could be the usual. */
  wishes: readonly AskedFor[];
  isNew: boolean;
  keeping: boolean;
}>();
const emit = defineEmits<{ adjust: [by: Adjustment]; usual: []; keep: [forWhom: string] }>();
</script>

<template>
  <FoldAway class="taste" title="After a sip: weaker, stronger, sweeter">
    <TasteRow @adjust="emit('adjust', $event)" />
  </FoldAway>
  <p v-for="{ way, people } in wishes" :key="way" class="asked no-print">
    {{ people }} asked for it {{ way }}.
    <ElButton @click="emit('adjust', way)">Make it {{ way }}</ElButton>
  </p>
  <KeepRow
    v-if="changes"
    :changes
    :is-new
    :keeping
    @usual="emit('usual')"
    @keep="emit('keep', $event)"
  />
</template>

<style scoped>
.asked {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  border-left: 3px solid var(--action);
  padding-left: 10px;
}

/* On a phone what to pour comes first. */
@media (max-width: 640px) {
  .taste {
    order: 2;
  }
}
</style>
