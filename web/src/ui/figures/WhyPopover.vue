<script setup lang="ts">
import { markText, type Explanation } from '@ratio/core/explanation';
import { ElButton, ElPopover } from 'element-plus';
import 'element-plus/theme-chalk/el-popover.css';
import 'element-plus/theme-chalk/el-popper.css';
import { computed, ref, useTemplateRef, watch } from 'vue';
import CloseIcon from '~icons/lucide/x';
import { alsoIn, alsoResultIn, type AmountFormat } from '../../format/index.ts';
import { onPhone, usePanelBeside } from '../browser/index.ts';
import { LinkButton } from '../buttons/index.ts';
import { DataTable, type DataColumn } from '../tables/index.ts';

/**
 * Where a number comes from, beside it: equation, this batch's numbers, constants with their sources,
 * range. A tap outside closes it.
 */
const props = defineProps<{
  explanation: Explanation | null;
  /** What was touched to ask; it stands beside it. */
  anchor: HTMLElement | null;
  /** The number that one came from by one of its values; empty for the first. */
  before: string;
  range: string;
  narrowedBy: readonly string[];
  format: AmountFormat;
}>();
const emit = defineEmits<{ close: []; walk: [why: string]; back: [] }>();

type Used = Explanation['uses'][number];
const isPhone = onPhone();
const sourceOf = ({ source, mark }: Used): string => `${source} (${markText(mark)})`;
const columns = computed<readonly DataColumn<Used>[]>(() => [
  { key: 'symbol', label: 'Symbol', text: ({ symbol }) => symbol, minPx: 44 },
  { key: 'what', label: 'What', text: ({ name }) => name, minPx: 140 },
  {
    key: 'value',
    label: 'Value',
    text: ({ value }) => alsoIn(value, props.format),
    isNumber: true,
    minPx: 110,
  },
  ...(isPhone.value ? [] : [{ key: 'source', label: 'Source', text: sourceOf, minPx: 160 }]),
]);

/** Where neither side has room, it stays in sight and lies over the number. */
const INSIDE = { modifiers: [{ name: 'preventOverflow', options: { altAxis: true, padding: 8 } }] };
/** As high as what was touched, and as wide as the column that it is in: the number stays in sight. */
const beside = computed(() => ({
  getBoundingClientRect: (): DOMRect => {
    const { anchor } = props;
    if (!anchor) return new DOMRect();
    const own = anchor.getBoundingClientRect();
    const column = (anchor.closest('section') ?? anchor).getBoundingClientRect();
    return isPhone.value ? own : new DOMRect(column.x, own.y, column.width, own.height);
  },
}));
const panel = useTemplateRef<HTMLElement>('panel');
const isOpen = computed(() => props.explanation !== null);
// Asked again while it fades, the fading one would take the new one along: each opening is one of its own.
const opening = ref(0);
watch(isOpen, (now) => now && (opening.value += 1));
usePanelBeside({
  panel,
  anchor: () => props.anchor,
  shown: () => props.explanation?.title,
  close: () => emit('close'),
});
</script>

<template>
  <ElPopover
    :key="opening"
    :visible="isOpen"
    virtual-triggering
    :virtual-ref="beside"
    :placement="isPhone ? 'bottom' : 'left'"
    :popper-options="INSIDE"
    :width="isPhone ? 'calc(100vw - 16px)' : 560"
    :popper-style="{ padding: 0 }"
    role="group"
  >
    <div
      v-if="explanation"
      ref="panel"
      class="why"
      role="dialog"
      tabindex="-1"
      :aria-label="explanation.title"
    >
      <header>
        <h2>{{ explanation.title }}</h2>
        <ElButton
          text
          :icon="CloseIcon"
          native-type="button"
          class="icon-button"
          aria-label="Close"
          @click="emit('close')"
        />
      </header>
      <p v-if="before !== ''">
        <LinkButton @click="emit('back')">Back to {{ before.toLowerCase() }}</LinkButton>
      </p>
      <p class="figures equation">{{ explanation.equation }}</p>
      <p class="figures">{{ alsoResultIn(explanation.filledIn, format) }}</p>
      <p class="soft">{{ explanation.method }}</p>
      <DataTable
        label="Values in it"
        :rows="explanation.uses"
        :key-of="({ symbol, name }) => `${symbol} ${name}`"
        :columns
      >
        <template #what-cell="{ row }">
          <LinkButton v-if="row.why" @click="emit('walk', row.why)">{{ row.name }}</LinkButton>
          <template v-else>{{ row.name }}</template>
          <p v-if="isPhone" class="soft">{{ sourceOf(row) }}</p>
        </template>
      </DataTable>
      <p v-if="range"><strong>Range</strong> {{ range }}</p>
      <ul v-if="narrowedBy.length > 0">
        <li v-for="text in narrowedBy" :key="text">{{ text }}</li>
      </ul>
      <slot />
    </div>
  </ElPopover>
</template>

<style scoped>
.why {
  --ground: var(--panel);
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  max-height: min(72dvh, 620px);
  overflow: auto;
  padding: 12px 16px 16px;
  color: var(--ink);
  font-size: var(--t15);
  line-height: 1.4;
  text-align: left;
}

.why:focus {
  outline: none;
}

header {
  display: flex;
  align-items: center;
  justify-content: space-between;
}

h2 {
  color: var(--ink);
  font-size: var(--t18);
}

p {
  margin: 0;
}

/* Its room for a finger stands out to the left, so that its words stand in line. */
.why :deep(.el-button.is-link),
.why :deep(.el-segmented) {
  margin-left: -8px;
}

.equation {
  font-size: var(--t18);
  font-weight: 600;
}
</style>
