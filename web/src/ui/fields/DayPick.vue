<script setup lang="ts">
import { whenever } from '@vueuse/core';
import { ElButton } from 'element-plus';
import { ref } from 'vue';
import CalendarIcon from '~icons/lucide/calendar';
import { lazyComponent } from '../lazy/index.ts';

/** For whoever would rather tap a day, and an hour where it has one, than type it. */
const { label, from, to } = defineProps<{
  label: string;
  /** On the shop's wall clock, as 2026-06-13 or 2026-06-13 17:30; empty where nobody has said it. */
  value: string;
  withTime?: boolean;
  /** The first and the last day that can be tapped, as 2026-06-13; empty for any. */
  from?: string;
  to?: string;
  /** The shop's day, as 2026-06-13. */
  today: string;
}>();
const emit = defineEmits<{ pick: [text: string] }>();

const DayPanel = lazyComponent(() => import('./DayPanel.vue'));
const button = ref<{ $el: HTMLElement } | null>(null);
const isOpen = ref(false);
const wasOpen = ref(false);
whenever(
  () => isOpen.value,
  () => (wasOpen.value = true),
  { immediate: true },
);
</script>

<template>
  <ElButton
    ref="button"
    text
    native-type="button"
    :icon="CalendarIcon"
    class="icon-button day-pick no-print"
    aria-label="Calendar"
    :aria-description="label"
    aria-haspopup="dialog"
    :aria-expanded="isOpen"
    @click="isOpen = !isOpen"
  />
  <DayPanel
    v-if="wasOpen"
    v-model="isOpen"
    :anchor="button?.$el ?? null"
    :label
    :value
    :with-time="withTime ?? false"
    :from="from ?? ''"
    :to="to ?? ''"
    :today
    @pick="emit('pick', $event)"
  />
</template>
