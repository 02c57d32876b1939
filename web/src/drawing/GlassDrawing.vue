<script setup lang="ts">
import { computed, ref } from 'vue';
import SvgHandle from '../svg/SvgHandle.vue';
import { icePieces } from './icePieces.ts';
import VesselOutline from './VesselOutline.vue';
import { heightOfMm, radiusAtMm, TAPER, vesselShape, volumeAtMl } from './vesselShape.ts';

/** A part of the drink as it is poured. */
interface GlassLayer {
  readonly key: string;
  readonly name: string;
  readonly amount: string;
  readonly volumeMl: number;
  readonly colour: string;
}

/** A drink to scale: its layers in pouring order, ice floating in them, and the fill line. */
const props = defineProps<{
  cupMl: number;
  kind: 'tumbler' | 'mug';
  layers: readonly GlassLayer[];
  /** Whole pieces and the edge of one; null without ice. */
  ice: { count: number; edgeMm: number; text: string } | null;
  lineText: string;
  /** What one unit of the graduations is, mL. */
  perUnitMl: number;
}>();
const emit = defineEmits<{ concentrate: [volumeMl: number] }>();

const WIDTH = 500;
const HEIGHT = 640;
const TOP = 30;
const FLOOR = 592;
const BRIM = 1.13;
const svg = ref<SVGSVGElement | null>(null);

const shape = computed(() => {
  const brimMl = props.cupMl * BRIM;
  const slim = props.kind === 'tumbler' ? 2.05 : 1.05;
  const heightMm = slim * 2 * Math.cbrt((brimMl * 1000) / (2 * Math.PI * slim));
  return vesselShape({ brimMl, heightMm, taper: TAPER[props.kind] });
});
const scale = computed(() =>
  Math.min((FLOOR - TOP) / shape.value.heightMm, 280 / (2 * shape.value.topRadiusMm)),
);
const x = computed(() => 62 + shape.value.topRadiusMm * scale.value);
const yOf = (volumeMl: number): number => FLOOR - heightOfMm(shape.value, volumeMl) * scale.value;
const halfAt = (y: number): number =>
  radiusAtMm(shape.value, (FLOOR - y) / scale.value) * scale.value;
const lineY = computed(() => yOf(props.cupMl));
/** Floating ice lifts every layer: what stands at the line is liquid and ice together. */
const lift = computed(() => {
  const liquid = props.layers.reduce((sum, { volumeMl }) => sum + volumeMl, 0);
  return liquid > 0 ? Math.min(props.cupMl, shape.value.brimMl) / liquid : 1;
});
const stacked = computed(() => {
  let filled = 0;
  return props.layers.map((layer) => {
    const low = filled;
    filled += layer.volumeMl * lift.value;
    const [lowY, highY] = [yOf(low), yOf(Math.min(filled, shape.value.brimMl))];
    return {
      ...layer,
      drawnMl: layer.volumeMl * lift.value,
      lowMl: low,
      middleY: (lowY + highY) / 2,
      highY,
    };
  });
});
/** Labels beside their layers, moved apart where layers are thin. */
const labels = computed(() => {
  const gap = 40;
  let below = FLOOR + gap - 8;
  return stacked.value.map((layer) => {
    const y = Math.min(layer.middleY, below - gap);
    below = y;
    return { ...layer, y };
  });
});
const pieces = computed(() => {
  if (!props.ice) return [];
  const edgePx = props.ice.edgeMm * scale.value;
  const count = Math.min(220, props.ice.count);
  return icePieces({ count, edgePx, lineY: lineY.value, floorY: FLOOR, halfAt });
});
const edge = computed(() => (props.ice?.edgeMm ?? 0) * scale.value);
const concentrate = computed(() => stacked.value.find(({ key }) => key === 'concentrate'));
const invert = (y: number): number =>
  (volumeAtMl(shape.value, Math.max(0, (FLOOR - y) / scale.value)) -
    (concentrate.value?.lowMl ?? 0)) /
  lift.value;
const spoken = computed(() =>
  [
    ...props.layers.map(({ name, amount }) => `${name} ${amount}`),
    props.ice?.text ?? 'no ice',
  ].join(', '),
);
</script>

<template>
  <svg
    ref="svg"
    class="drawing"
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    role="group"
    :aria-label="`The glass, to scale: ${spoken}.`"
  >
    <VesselOutline
      :shape="shape"
      :x="x"
      :floor="FLOOR"
      :scale="scale"
      ticks-side="left"
      :per-unit-ml="perUnitMl"
      :layers="
        stacked.map((layer) => ({ volumeMl: layer.drawnMl, colour: layer.colour, grounds: false }))
      "
    />
    <g class="ice" aria-hidden="true">
      <rect
        v-for="(piece, i) in pieces"
        :key="i"
        :x="-edge / 2"
        :y="-edge / 2"
        :width="edge"
        :height="edge"
        :rx="edge / 8"
        :transform="`translate(${x + piece.x} ${piece.y}) rotate(${piece.turnDeg})`"
      />
    </g>
    <line
      class="fill-line"
      :x1="x - halfAt(lineY) - 4"
      :x2="x + halfAt(lineY) + 14"
      :y1="lineY"
      :y2="lineY"
    />
    <text class="note" :x="x + halfAt(lineY) + 20" :y="lineY - 6">{{ lineText }}</text>
    <g v-for="label in labels" :key="label.key" class="label">
      <path
        :d="`M${x + halfAt(label.middleY) + 4} ${label.middleY}L${x + shape.topRadiusMm * scale + 18} ${label.y}h10`"
      />
      <text :x="x + shape.topRadiusMm * scale + 34" :y="label.y - 2">{{ label.name }}</text>
      <text class="figures amount" :x="x + shape.topRadiusMm * scale + 34" :y="label.y + 16">
        {{ label.amount }}
      </text>
    </g>
    <text v-if="ice" class="note" :x="x" :y="FLOOR + 28" text-anchor="middle">{{ ice.text }}</text>
    <SvgHandle
      v-if="concentrate"
      :svg="svg"
      :x="x + halfAt(concentrate.highY)"
      :y="concentrate.highY"
      axis="y"
      :value="Math.round(concentrate.volumeMl)"
      :min="1"
      :max="Math.round(cupMl)"
      :step="1"
      label="Concentrate in the glass"
      :value-text="concentrate.amount"
      :invert="invert"
      @change="emit('concentrate', $event)"
    />
  </svg>
</template>

<style scoped>
.drawing {
  display: block;
  width: 100%;
  max-height: calc(100vh - 110px);
}

.ice rect {
  fill: #fff;
  fill-opacity: 0.24;
  stroke: #8fa3a8;
  stroke-opacity: 0.75;
  stroke-width: 1;
}

.fill-line {
  stroke: var(--ink);
  stroke-dasharray: 2 3;
}

.note {
  fill: var(--ink-soft);
  font-size: 13px;
}

.label path {
  fill: none;
  stroke: var(--hairline-strong);
}

.label text {
  fill: var(--ink);
  font-size: 14px;
}

.label .amount {
  font-size: 16px;
  font-weight: 600;
}
</style>
