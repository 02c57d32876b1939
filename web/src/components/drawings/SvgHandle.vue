<script setup lang="ts">
import { ref, toRef } from 'vue';
import { useSvgDrag } from './useSvgDrag.ts';

/** A grip on a drawing: dragged by pointer, stepped by arrow keys, spoken as a slider. */
const props = defineProps<{
  svg: SVGSVGElement | null;
  x: number;
  y: number;
  axis: 'x' | 'y';
  value: number;
  min: number;
  max: number;
  step: number;
  label: string;
  valueText: string;
  /** The value at a place on the axis. */
  invert: (place: number) => number;
}>();
const emit = defineEmits<{ change: [value: number] }>();

const within = (value: number): number => Math.min(props.max, Math.max(props.min, value));
const snapped = (value: number): number => within(Math.round(value / props.step) * props.step);
const handle = ref<SVGGElement | null>(null);
useSvgDrag({
  handle,
  svg: toRef(props, 'svg'),
  moved: (point) => emit('change', snapped(props.invert(point[props.axis]))),
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
  const ends = { Home: props.min, End: props.max }[event.key];
  const steps = KEYS[event.key];
  if (ends === undefined && steps === undefined) return;
  event.preventDefault();
  const times = event.shiftKey ? 10 : 1;
  emit('change', ends ?? snapped(props.value + steps! * times * props.step));
}
</script>

<template>
  <g
    ref="handle"
    class="handle"
    :class="axis"
    role="slider"
    tabindex="0"
    :transform="`translate(${x} ${y})`"
    :aria-label="label"
    :aria-valuemin="min"
    :aria-valuemax="max"
    :aria-valuenow="value"
    :aria-valuetext="valueText"
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
