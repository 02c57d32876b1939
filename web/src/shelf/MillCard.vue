<script setup lang="ts">
import { GRIND_NAMES } from '@ratio/core/coffee';
import type { Shop } from '@ratio/core/shop';
import { TextRow } from '../ui/fields/index.ts';

/** The mill’s dial for each grind. */
defineProps<{ mill: Shop['mill'] }>();
const emit = defineEmits<{ change: [change: Partial<Shop>, what: string] }>();
</script>

<template>
  <div class="field-grid">
    <TextRow
      label="Mill"
      name="Mill’s name"
      :value="mill.name"
      @change="emit('change', { mill: { ...mill, name: $event } }, 'Mill renamed')"
    />
    <TextRow
      v-for="grind in GRIND_NAMES"
      :key="grind"
      :label="grind"
      :name="`Dial for ${grind}`"
      :value="mill.settings[grind]"
      @change="
        emit(
          'change',
          { mill: { ...mill, settings: { ...mill.settings, [grind]: $event } } },
          `Dial for ${grind} changed`,
        )
      "
    />
  </div>
</template>
