<script setup lang="ts">
import { FILTER_KINDS, type Shop } from '@ratio/core/shop';
import { massKind, numberKind, volumeKind, type AmountFormat } from '../format/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { AmountField, AmountRow, ChoiceRow, TextField } from '../ui/fields/index.ts';

/** The scoop, and what each filter takes. */
const props = defineProps<{ shop: Shop; format: AmountFormat }>();
const emit = defineEmits<{ change: [change: Partial<Shop>, what: string] }>();

const PIECES = numberKind({
  step: 1,
  min: 1,
  max: 100,
  write: (value) => (value === 1 ? '1 piece' : `${value} pieces`),
});
function setFilter(i: number, change: Partial<Shop['filters'][number]>): void {
  const filters = props.shop.filters.map((filter, k) =>
    k === i ? { ...filter, ...change } : filter,
  );
  emit('change', { filters }, 'Filter changed');
}
const addFilter = (kind: Shop['filters'][number]['kind']): void =>
  emit(
    'change',
    { filters: [...props.shop.filters, { name: `New ${kind}`, kind, takesG: 500, count: 1 }] },
    'Filter added',
  );
</script>

<template>
  <div class="field-grid">
    <AmountRow
      label="The scoop holds"
      lazy
      :value="shop.scoopMl"
      :kind="volumeKind(format, { step: 5, min: 1, max: 2000 })"
      @change="(scoopMl) => emit('change', { scoopMl }, 'Scoop changed')"
    />
    <ChoiceRow v-for="(filter, i) in shop.filters" :key="i" :label="`${filter.kind}, takes`">
      <div class="filter">
        <TextField
          label="Filter’s name"
          needed
          :value="filter.name"
          @change="setFilter(i, { name: $event })"
        />
        <AmountField
          lazy
          :label="`${filter.name} takes`"
          :value="filter.takesG"
          :kind="massKind(format, { step: 50, min: 5, max: 50000 })"
          @change="(takesG) => setFilter(i, { takesG })"
        />
        <AmountField
          lazy
          :label="`${filter.name}: how many there are`"
          :value="filter.count"
          :kind="PIECES"
          @change="(count) => setFilter(i, { count })"
        />
      </div>
    </ChoiceRow>
  </div>
  <p>
    Add a
    <LinkButton v-for="kind in FILTER_KINDS" :key="kind" @click="addFilter(kind)">
      {{ kind }}
    </LinkButton>
  </p>
</template>

<style scoped>
.filter {
  display: grid;
}

.filter :deep(.el-input__inner) {
  font-size: var(--t15);
}
</style>
