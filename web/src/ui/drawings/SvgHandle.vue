<script setup lang="ts">
import { ref, toRef } from 'vue';
import type { Grip } from './grip.ts';
import { useSvgDrag } from './useSvgDrag.ts';

/** A grip on a drawing: dragged by pointer, stepped by arrow keys, spoken as a slider. */
const props = defineProps<{
  svg: SVGSVGElement | null;
  axis: 'x' | 'y';
  grip: Grip;
}>();
const emit = defineEmits<{ change: [value: number] }>();

const within = (value: number): number => {
  const { min, max } = props.grip.range;
  return Math.min(max, Math.max(min, value));
};
const snapped = (value: number): number => {
  const { step } = props.grip.range;
  return within(Math.round(value / step) * step);
};
const handle = ref<SVGGElement | null>(null);
useSvgDrag({
  handle,
  svg: toRef(props, 'svg'),
  moved: (point) => emit('change', snapped(props.grip.invert(point[props.axis]))),
});

const KEYS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 10,
  PageDown: -10,
};

function key(event: KeyboardEvent): void {
  const { value, min, max, step } = props.grip.range;
  const ends = { Home: min, End: max }[event.key];
  const steps = KEYS[event.key];
  if (ends === undefined && steps === undefined) return;
  event.preventDefault();
  const times = event.shiftKey ? 10 : 1;
  emit('change', ends ?? snapped(value + steps! * times * step));
}
</script>

<template>
  <g
    ref="handle"
    class="handle"
    :class="axis"
    role="slider"
    tabindex="0"
    :transform="`translate(${grip.at.x} ${grip.at.y})`"
    :aria-label="grip.label"
    :aria-valuemin="grip.range.min"
    :aria-valuemax="grip.range.max"
    :aria-valuenow="grip.range.value"
    :aria-valuetext="grip.valueText"
    :aria-orientation="axis === 'x' ? 'horizontal' : 'vertical'"
    @keydown="key"
  >
    <circle class="reach" r="22" />
    <slot><circle class="grip" r="6" /></slot>
  </g>
</template>

<style scoped>
.handle {
  cursor: ew-resize;
  touch-action: none;
}

.handle.y {
  cursor: ns-resize;
}

.handle:focus-visible {
  outline: none;
}

.handle:focus-visible .reach {
  stroke: var(--action);
  stroke-width: 2;
}

.reach {
  fill: transparent;
}

.grip {
  fill: var(--panel);
  stroke: var(--action);
  stroke-width: 2.5;
}
</style>
