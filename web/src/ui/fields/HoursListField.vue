<script setup lang="ts">
import ListField from './ListField.vue';

/** A few moments of a steep, as "2 h, 8 h". */
defineProps<{
  label: string;
  hours: readonly number[];
  placeholder: string;
  mayBeEmpty?: boolean;
}>();
const emit = defineEmits<{ change: [hours: number[]] }>();
</script>

<template>
  <ListField
    :label
    :values="hours.map((h) => h * 3600)"
    accepts="time"
    plain-unit="hour"
    :write="(timeS) => `${Number((timeS / 3600).toFixed(2))} h`"
    :min="0"
    :max="604800"
    limit-text="Between 0 and 168 h."
    :placeholder
    :may-be-empty
    @change="
      (times) =>
        emit(
          'change',
          times.map((timeS) => timeS / 3600),
        )
    "
  />
</template>
