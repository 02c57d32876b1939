<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { ElAutocomplete, ElDialog } from 'element-plus';
import 'element-plus/theme-chalk/el-popper.css';
import 'element-plus/theme-chalk/el-scrollbar.css';
import 'element-plus/theme-chalk/el-overlay.css';
import 'element-plus/theme-chalk/el-dialog.css';
import 'element-plus/theme-chalk/el-autocomplete.css';
import { nextTick, ref } from 'vue';

interface Found {
  readonly key: string;
  readonly name: string;
  readonly kind: string;
}

/** Finds anything of the shop by a few letters. */
const open = defineModel<boolean>({ required: true });

const sought = defineModel<string>('sought', { required: true });
const props = defineProps<{ found: readonly Found[] }>();
const emit = defineEmits<{ go: [key: string] }>();

/** The list follows what is typed once it has come through to it. */
async function suggest(_: string, show: (found: Found[]) => void): Promise<void> {
  await nextTick();
  show([...props.found]);
}

function go(one: Found): void {
  open.value = false;
  emit('go', one.key);
}

const field = ref<{ focus: () => void; highlightedIndex: number } | null>(null);
/** Whoever knows the name types it and presses Enter, before the list is there. */
function enter(event: KeyboardEvent): void {
  const [first] = props.found;
  if (event.isComposing || !first || sought.value === '') return;
  if (field.value && field.value.highlightedIndex >= 0) return;
  event.stopPropagation();
  go(first);
}
// While the dialog comes in, its field is there and has not the keys yet.
useEventListener(window, 'keydown', (event) => {
  const isElsewhere = !(event.target as HTMLElement).closest('input, button');
  if (open.value && event.key === 'Enter' && isElsewhere) enter(event);
});
async function focus(): Promise<void> {
  await nextTick();
  field.value?.focus();
}
</script>

<template>
  <ElDialog v-model="open" title="Find" width="min(92vw, 520px)" append-to-body @opened="focus">
    <div @keydown.enter.capture="enter">
      <ElAutocomplete
        ref="field"
        v-model="sought"
        class="field"
        popper-class="finder"
        value-key="name"
        highlight-first-item
        :debounce="0"
        :fetch-suggestions="suggest"
        aria-label="Find anything"
        placeholder="a drink, a jug, a coffee, a page"
        @select="go($event as Found)"
      >
        <template #default="{ item }">
          <span class="found">
            <span>{{ item.name }}</span> <span class="soft">{{ item.kind }}</span>
          </span>
        </template>
      </ElAutocomplete>
    </div>
    <p v-if="found.length === 0" class="soft none">Nothing is called that here.</p>
  </ElDialog>
</template>

<style scoped>
.field {
  width: 100%;
}

.found {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  line-height: var(--touch);
}

.none {
  padding: 12px 8px;
}
</style>

<style>
.finder .el-autocomplete-suggestion__wrap {
  max-height: min(60vh, 420px);
}

.finder.el-popper {
  border: 1px solid var(--ink);
}
</style>
