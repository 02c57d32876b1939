<script setup lang="ts">
import { ElButton } from 'element-plus';
import { ref } from 'vue';
import { ActButton, TextField } from '../ui/fields/index.ts';

/** What was changed of the drink in hand, and what is done with it: kept, kept for somebody, or discarded. */
defineProps<{ changes: readonly string[]; isNew: boolean; keeping: boolean }>();
const emit = defineEmits<{ usual: []; keep: [forWhom: string] }>();

const forWhom = ref('');
const naming = ref(false);

function keepFor(): void {
  emit('keep', forWhom.value);
  naming.value = false;
  forWhom.value = '';
}
</script>

<template>
  <div class="kept no-print" role="status">
    <p>
      <strong>{{ isNew ? 'A new drink' : 'For this once' }}</strong>
      <span v-if="changes.length > 0" class="soft what">{{ changes.join('; ') }}</span>
    </p>
    <div class="ways">
      <ActButton :doing="keeping" @act="emit('keep', '')">{{
        isNew ? 'Put it on the menu' : 'Keep as the usual'
      }}</ActButton>
      <ElButton v-if="!isNew && !naming" text @click="naming = true">Keep for …</ElButton>
      <template v-if="naming">
        <TextField
          label="Who it is for"
          :value="forWhom"
          placeholder="who it is for"
          @change="forWhom = $event"
        />
        <ActButton :disabled="forWhom === ''" @act="keepFor">Keep</ActButton>
      </template>
      <ElButton text @click="emit('usual')">{{ isNew ? 'Discard' : 'As usual' }}</ElButton>
    </div>
  </div>
</template>

<style scoped>
.kept {
  border-left: 3px solid var(--action);
  padding-left: 10px;
  font-size: var(--t13);
}

.what {
  margin-left: 6px;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}

.ways .el-button {
  margin: 0;
  padding-inline: 12px;
}

.ways > .text {
  flex: 1;
  min-width: 110px;
}
</style>
