<script setup lang="ts">
import { tableOf } from '@ratio/core/steps';
import type { Shop, ShopStep } from '@ratio/core/shop';
import { ElButton, ElSwitch, ElUpload } from 'element-plus';
import 'element-plus/theme-chalk/el-switch.css';
import 'element-plus/theme-chalk/el-upload.css';
import { computed } from 'vue';
import UpIcon from '~icons/lucide/arrow-up';
import DownIcon from '~icons/lucide/arrow-down';
import { numberKind } from '../format/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { AmountField, TextField } from '../ui/fields/index.ts';

/** The steps of a batch as this shop takes them: in its order, in its words, with its waits. */
const props = defineProps<{ shop: Shop }>();
const emit = defineEmits<{
  change: [change: Partial<Shop>, what: string];
  /** A photograph of how a step is done; whoever takes it says how to show it. */
  photo: [stepKey: string, file: File, keep: (photoId: string) => void];
}>();

const USUAL = { title: '', watch: '', waitMinutes: null, photoId: null, leftOut: false };
const rows = computed(() =>
  tableOf(props.shop.steps).map(({ template, words }) => ({
    template,
    words: words ?? { ...USUAL, key: template.key },
    isOwn: words !== undefined && template.title === 'A step of your own',
  })),
);
const save = (steps: readonly ShopStep[], what: string): void =>
  emit('change', { steps: [...steps] }, what);
const all = (): ShopStep[] => rows.value.map(({ words }) => words);
const set = (i: number, part: Partial<ShopStep>): void =>
  save(all().with(i, { ...all()[i]!, ...part }), 'A step changed');
/** The table may have changed while its photograph was on its way. */
const setOf = (key: string, part: Partial<ShopStep>): void =>
  set(
    all().findIndex((one) => one.key === key),
    part,
  );
const photographed = (key: string, file: File): void =>
  emit('photo', key, file, (photoId) => setOf(key, { photoId }));
function move(i: number, by: 1 | -1): void {
  const steps = all();
  const [moved] = steps.splice(i, 1);
  steps.splice(i + by, 0, moved!);
  save(steps, 'Steps in another order');
}
/** A name of its own among the shop’s own steps. */
function ownKey(): string {
  const taken = all().map(({ key }) => Number(/^own-(\d+)$/.exec(key)?.[1] ?? 0));
  return `own-${Math.max(0, ...taken) + 1}`;
}
const addAfter = (i: number): void =>
  save(
    all().toSpliced(i + 1, 0, { ...USUAL, key: ownKey(), title: 'New step' }),
    'A step of your own',
  );
const drop = (i: number): void => save(all().toSpliced(i, 1), 'A step less');
</script>

<template>
  <p class="soft">
    Leave a step empty to keep the usual words. Wetting, grounds and straining decide which steps a
    batch has.
  </p>
  <ol>
    <li v-for="(row, i) in rows" :key="row.template.key" :class="{ out: row.words.leftOut }">
      <span class="order">
        <ElButton
          text
          :icon="UpIcon"
          :disabled="i === 0"
          :aria-label="`${row.template.title}: earlier`"
          @click="move(i, -1)"
        />
        <ElButton
          text
          :icon="DownIcon"
          :disabled="i === rows.length - 1"
          :aria-label="`${row.template.title}: later`"
          @click="move(i, 1)"
        />
      </span>
      <TextField
        label="What is done"
        :value="row.words.title"
        :placeholder="row.template.title"
        @change="set(i, { title: $event })"
      />
      <TextField
        label="What to watch for"
        :value="row.words.watch"
        :placeholder="row.template.watch"
        @change="set(i, { watch: $event })"
      />
      <AmountField
        label="Wait, min"
        lazy
        :placeholder="row.template.waitMinutes ? `${row.template.waitMinutes} min` : 'no wait'"
        :value="row.words.waitMinutes"
        :kind="numberKind({ step: 1, min: 0.5, max: 1440, write: (value) => `${value} min` })"
        @change="(waitMinutes) => set(i, { waitMinutes })"
      />
      <span class="ends">
        <LinkButton v-if="row.isOwn" @click="drop(i)">Drop it</LinkButton>
        <ElSwitch
          v-else
          :model-value="!row.words.leftOut"
          :aria-label="`Take the step “${row.template.title}”`"
          @update:model-value="set(i, { leftOut: !$event })"
        />
        <LinkButton @click="addAfter(i)">One more below</LinkButton>
        <ElUpload
          class="take"
          :auto-upload="false"
          :show-file-list="false"
          accept="image/*"
          @change="({ raw }) => raw && photographed(row.template.key, raw)"
          >Photograph</ElUpload
        >
      </span>
      <p v-if="row.words.photoId" class="photo">
        <img
          :src="`/api/steps/photos/${row.words.photoId}`"
          :alt="`How it is done: ${row.words.title || row.template.title}`"
        />
        <LinkButton @click="set(i, { photoId: null })">No photograph</LinkButton>
      </p>
    </li>
  </ol>
  <p v-if="shop.steps.length > 0">
    <LinkButton @click="save([], 'The usual steps')">Back to the usual steps</LinkButton>
  </p>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) minmax(0, 1.4fr) 90px auto;
  gap: 4px 16px;
  align-items: center;
  border-bottom: 1px solid var(--hairline);
}

li :deep(.el-input__inner) {
  font-size: var(--t15);
}

.out {
  opacity: 0.6;
}

.order {
  display: flex;
}

.order .el-button {
  min-height: 40px;
  margin: 0;
  padding: 0 8px;
}

.photo {
  display: flex;
  grid-column: 2 / -1;
  gap: 10px;
  align-items: center;
}

.photo img {
  height: 56px;
  border: 1px solid var(--hairline);
}

.take {
  display: flex;
  align-items: center;
  min-height: 40px;
  color: var(--action);
  font-size: var(--t13);
  text-decoration: underline;
  cursor: pointer;
}

.ends {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: center;
}

@media (max-width: 800px) {
  li {
    grid-template-columns: auto minmax(0, 1fr) auto;
  }

  li > :nth-child(3) {
    grid-column: 2 / -1;
  }
}
</style>
