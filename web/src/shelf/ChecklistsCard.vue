<script setup lang="ts">
import type { Shop } from '@ratio/core/shop';
import { LeaveOutButton, LinkButton } from '../ui/buttons/index.ts';
import { TextField } from '../ui/fields/index.ts';

/** The lists that are gone through each day, line by line, in the shop's own words. */
const props = defineProps<{ checklists: Shop['checklists'] }>();
const emit = defineEmits<{ change: [change: Partial<Shop>, what: string] }>();

const LISTS = [
  { key: 'opening', name: 'When the shop opens' },
  { key: 'closing', name: 'When it closes' },
] as const;
type Key = (typeof LISTS)[number]['key'];
const save = (key: Key, lines: readonly string[], what: string): void =>
  emit('change', { checklists: { ...props.checklists, [key]: [...lines] } }, what);
</script>

<template>
  <div class="lists">
    <div v-for="{ key, name } in LISTS" :key role="group" :aria-label="name">
      <h3>{{ name }}</h3>
      <div v-for="(line, i) in checklists[key]" :key="`${i} ${line}`" class="line">
        <TextField
          :label="`${name}, line ${i + 1}`"
          :value="line"
          needed
          @change="save(key, checklists[key].with(i, $event), 'a line in other words')"
        />
        <LeaveOutButton
          :label="`Leave out: ${line}`"
          @click="save(key, checklists[key].toSpliced(i, 1), 'a line less')"
        />
      </div>
      <LinkButton @click="save(key, [...checklists[key], 'Something to check'], 'a line more')"
        >Another line</LinkButton
      >
    </div>
  </div>
</template>

<style scoped>
.lists {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 12px 40px;
}

h3 {
  margin: 0 0 4px;
  font-size: var(--t13);
}

.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 10px;
  border-bottom: 1px solid var(--hairline);
}
</style>
