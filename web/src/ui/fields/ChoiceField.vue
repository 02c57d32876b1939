<script setup lang="ts" generic="T extends string">
import { nextTick, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import OpenIcon from '~icons/lucide/chevron-down';
import type ChoiceSelect from './ChoiceSelect.vue';
import { whenIdle } from '../browser/index.ts';

/** One of a few, each with a reason why one would take it. */
const props = defineProps<{
  label: string;
  options: readonly { value: T; label: string; reason?: string }[];
  /** Of many: found by a few letters. */
  filterable?: boolean;
}>();
const chosen = defineModel<T>({ required: true });

// What is chosen stands there from the first; the list that opens is fetched when the page is idle, and put
// up when somebody reaches for it: a page has up to eight. A field to type in is one from then on.
const Select = shallowRef<typeof ChoiceSelect | null>(null);
const select = ref<{ focus: () => void; open: () => void } | null>(null);
/** Where nothing answers, what is chosen stays in sight, and the next reach asks again. */
async function fetchSelect(): Promise<void> {
  const loaded = await import('./ChoiceSelect.vue').catch(() => null);
  Select.value ??= loaded?.default ?? null;
}
async function reach(how: 'focus' | 'open'): Promise<void> {
  await fetchSelect();
  await nextTick();
  select.value?.[how]();
}
let stopWaiting = (): void => undefined;
onMounted(() => {
  stopWaiting = whenIdle(() => {
    if (props.filterable) void fetchSelect();
    else void import('./ChoiceSelect.vue').catch(() => null);
  });
});
onBeforeUnmount(() => stopWaiting());
</script>

<template>
  <component :is="Select" v-if="Select" ref="select" v-model="chosen" :label :options :filterable />
  <div
    v-else
    class="chosen"
    role="combobox"
    aria-expanded="false"
    aria-haspopup="listbox"
    tabindex="0"
    :aria-label="label"
    @focus="reach('focus')"
    @pointerdown.prevent="reach('open')"
    @keydown.enter.space.down.prevent="reach('open')"
  >
    <span>{{ options.find(({ value }) => value === chosen)?.label ?? 'Choose' }}</span>
    <OpenIcon aria-hidden="true" />
  </div>
</template>

<style scoped>
/* As wide as the select that takes its place. */
.chosen {
  display: flex;
  width: 100%;
  align-items: center;
  justify-content: space-between;
  min-height: 32px;
  font-size: var(--t18);
  font-weight: 600;
  line-height: 32px;
  cursor: pointer;
}

.chosen span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.chosen svg {
  flex: none;
  width: 16px;
  color: var(--ink-soft);
}
</style>
