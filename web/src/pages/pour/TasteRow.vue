<script setup lang="ts">
import { ADJUSTMENTS, type Adjustment } from '@ratio/core';
import { ElButton } from 'element-plus';
import { ref } from 'vue';
import TextField from '../../field/TextField.vue';

/** What somebody says after a sip, each a step of the solver; and what is done with the result. */
defineProps<{ changes: readonly string[]; isNew: boolean; edited: boolean; keeping: boolean }>();
const emit = defineEmits<{ adjust: [by: Adjustment]; usual: []; keep: [forWhom: string] }>();

const forWhom = ref('');
const naming = ref(false);

function keepFor(): void {
  emit('keep', forWhom.value);
  naming.value = false;
  forWhom.value = '';
}
</script>

<template>
  <div class="taste no-print">
    <div class="steps" role="group" aria-label="After a sip">
      <button v-for="by in ADJUSTMENTS" :key="by" type="button" @click="emit('adjust', by)">
        {{ by }}
      </button>
    </div>
    <div v-if="edited" class="kept" role="status">
      <p>
        <strong>{{ isNew ? 'A new drink' : 'For this once' }}</strong>
        <span v-if="changes.length > 0" class="soft what">{{ changes.join('; ') }}</span>
      </p>
      <div class="ways">
        <ElButton :loading="keeping" @click="emit('keep', '')">{{
          isNew ? 'Put it on the menu' : 'Keep as the usual'
        }}</ElButton>
        <ElButton v-if="!isNew && !naming" text @click="naming = true">Keep for …</ElButton>
        <template v-if="naming">
          <TextField
            label="Who it is for"
            :value="forWhom"
            placeholder="who it is for"
            @change="forWhom = $event"
          />
          <ElButton :disabled="forWhom === ''" @click="keepFor">Keep</ElButton>
        </template>
        <ElButton text @click="emit('usual')">{{ isNew ? 'Give it up' : 'As usual' }}</ElButton>
      </div>
    </div>
  </div>
</template>

<style scoped>
.taste {
  border-block: 1px solid var(--hairline);
  padding: 6px 0;
}

.steps {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 6px;
}

.steps button {
  min-height: var(--touch);
  border: 1px solid var(--hairline-strong);
  border-radius: 4px;
  background: var(--panel);
  padding: 0 4px;
  font-weight: 600;
  cursor: pointer;
}

.kept {
  margin-top: 6px;
  border-left: 3px solid var(--action);
  padding-left: 10px;
  font-size: var(--t13);
}

.what {
  margin-left: 6px;
}

@media (max-width: 640px) {
  .steps {
    grid-template-columns: repeat(3, 1fr);
  }
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
