<script setup lang="ts">
import dayjs from 'dayjs';
import { ElDatePickerPanel, ElPopover } from 'element-plus';
import 'element-plus/theme-chalk/el-date-picker-panel.css';
import 'element-plus/theme-chalk/el-time-picker.css';
import 'element-plus/theme-chalk/el-popper.css';
import 'element-plus/theme-chalk/el-popover.css';
import { useTemplateRef } from 'vue';
import { clockStyle } from '../../format/index.ts';
import { usePanelBeside } from '../browser/index.ts';

/** A calendar beside a field, in the shop's days: what is tapped is written as it would be typed. */
const props = defineProps<{
  anchor: HTMLElement | null;
  label: string;
  value: string;
  withTime: boolean;
  from: string;
  to: string;
  /** The shop's day, where it opens as long as nobody has said one. */
  today: string;
}>();
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ pick: [text: string] }>();

const DAY = 'YYYY-MM-DD';
// A week begins on a Monday, as ISO 8601 has it and the shop's own week does.
Object.assign(dayjs.Ls['en']!, { weekStart: 1 });
const dayOf = (date: Date): string => dayjs(date).format(DAY);
function isShut(date: Date): boolean {
  const day = dayOf(date);
  return (props.from !== '' && day < props.from) || (props.to !== '' && day > props.to);
}
/** The shop's day is marked; the browser's may be another one. */
const markOf = (date: Date): string => (dayOf(date) === props.today ? 'shops' : '');
function pick(text: string | null): void {
  if (text === null) return;
  emit('pick', text);
  if (!props.withTime) open.value = false;
}

/** Where the button is; the button itself says that it opens a dialog. */
const beside = {
  getBoundingClientRect: () => props.anchor?.getBoundingClientRect() ?? new DOMRect(),
};
const panel = useTemplateRef<HTMLElement>('panel');
usePanelBeside({
  panel,
  anchor: () => props.anchor,
  shown: () => (open.value ? props.label : undefined),
  close: () => (open.value = false),
});
</script>

<template>
  <ElPopover
    :visible="open"
    virtual-triggering
    :virtual-ref="beside"
    placement="bottom"
    width="auto"
    :popper-style="{ padding: 0 }"
    role="group"
  >
    <div
      ref="panel"
      class="panel"
      role="dialog"
      tabindex="-1"
      aria-label="Calendar"
      :aria-description="label"
    >
      <ElDatePickerPanel
        :model-value="value"
        :type="withTime ? 'datetime' : 'date'"
        :value-format="withTime ? `${DAY} HH:mm` : DAY"
        :date-format="DAY"
        :time-format="clockStyle === '12 h' ? 'h:mm a' : 'HH:mm'"
        :default-value="dayjs(today).toDate()"
        :border="false"
        :show-footer="false"
        :disabled-date="isShut"
        :cell-class-name="markOf"
        @update:model-value="pick"
      />
    </div>
  </ElPopover>
</template>

<style scoped>
.panel {
  outline-offset: -2px;
}

.panel :deep(.el-picker-panel) {
  background: none;
  color: var(--ink);
  font-family: var(--words);
}

/* What can be tapped is strong; the rest is not marked like what is picked. */
.panel :deep(td.available) {
  font-weight: 600;
}

.panel :deep(td.disabled .el-date-table-cell) {
  background: none;
  color: var(--ink-soft);
}

.panel :deep(td) {
  height: 36px;
}

.panel :deep(td.today:not(.current) .el-date-table-cell__text) {
  color: inherit;
  font-weight: inherit;
}

.panel :deep(td.shops .el-date-table-cell__text) {
  box-shadow: inset 0 0 0 1.5px var(--action);
}
</style>
