<script setup lang="ts">
import AmountRow from './AmountRow.vue';
import PickRow from './PickRow.vue';
import TextRow from './TextRow.vue';
import type { FieldRow } from '../../format/index.ts';

/** The rows of a form, one below another. */
defineProps<{ rows: readonly FieldRow[] }>();
/** What a row shows, without what a change does. */
const shown = <T extends { readonly change: unknown }>({ change: _, ...row }: T) => row;
</script>

<template>
  <template v-for="{ field, row } in rows" :key="row.name ?? row.label">
    <AmountRow v-if="field === 'amount'" v-bind="shown(row)" @change="row.change" />
    <TextRow v-else-if="field === 'text'" v-bind="shown(row)" @change="row.change" />
    <PickRow
      v-else
      :label="row.label"
      :note="row.note"
      :name="row.name"
      :options="row.options"
      :model-value="row.value"
      @update:model-value="row.change"
    />
  </template>
</template>
