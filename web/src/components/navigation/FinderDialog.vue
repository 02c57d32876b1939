<script setup lang="ts">
import { ElDialog, ElInput } from 'element-plus';
import { nextTick, ref, watch } from 'vue';

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

const at = ref(0);
watch(
  () => props.found,
  () => (at.value = 0),
);

function go(one: Found | undefined): void {
  if (!one) return;
  open.value = false;
  emit('go', one.key);
}

function key(event: KeyboardEvent | Event): void {
  if (!(event instanceof KeyboardEvent)) return;
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (step !== undefined) {
    event.preventDefault();
    const count = props.found.length || 1;
    at.value = (at.value + step + count) % count;
  } else if (event.key === 'Enter') go(props.found[at.value]);
}

const input = ref<InstanceType<typeof ElInput> | null>(null);
async function focus(): Promise<void> {
  await nextTick();
  input.value?.focus();
}
</script>

<template>
  <ElDialog v-model="open" title="Find" width="min(92vw, 520px)" append-to-body @opened="focus">
    <ElInput
      ref="input"
      v-model="sought"
      aria-label="Find anything"
      aria-controls="found"
      placeholder="a drink, a jug, a coffee, a page"
      @keydown="key"
    />
    <ul id="found" aria-live="polite">
      <li v-for="(one, i) in found" :key="one.kind + one.key">
        <button type="button" :class="{ here: i === at }" @click="go(one)">
          <span>{{ one.name }}</span> <span class="soft">{{ one.kind }}</span>
        </button>
      </li>
      <li v-if="found.length === 0" class="soft none">Nothing is called that here.</li>
    </ul>
  </ElDialog>
</template>

<style scoped>
ul {
  padding-top: 8px;
}

button {
  display: flex;
  justify-content: space-between;
  width: 100%;
  min-height: var(--touch);
  align-items: center;
  border: 0;
  border-bottom: 1px solid var(--hairline);
  background: none;
  padding: 0 8px;
  text-align: left;
  cursor: pointer;
}

.here {
  background: var(--action-wash);
}

.none {
  padding: 12px 8px;
}
</style>
