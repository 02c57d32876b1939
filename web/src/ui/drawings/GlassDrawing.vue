<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Grip } from './grip.ts';
import SvgHandle from './SvgHandle.vue';
import { icePieces } from './icePieces.ts';
import { LINE_PX, placeLabels } from './placeLabels.ts';
import VesselOutline from './VesselOutline.vue';
import { heightOfMm, radiusAtMm, TAPER, vesselShape, volumeAtMl } from './vesselShape.ts';

/** A layer of the drink as it is poured. */
interface GlassLayer {
  readonly key: string;
  readonly name: string;
  readonly amount: string;
  readonly volumeMl: number;
  readonly colour: string;
  /** Foam: it stands above the fill line. */
  readonly onTop: boolean;
}

/**
 * A drink to scale: its layers in pouring order, ice floating in them, the fill line, foam above.
 * Every layer is dragged by its upper edge; ice and fill line have their own grips.
 */
const props = defineProps<{
  cupMl: number;
  kind: keyof typeof SLIM;
  layers: readonly GlassLayer[];
  /** Whole pieces and the edge of one; null without ice. */
  ice: { count: number; edgeMm: number; text: string; massG: number; colour: string } | null;
  lineText: string;
  /** What one unit of the graduations is, mL. */
  perUnitMl: number;
  /** A picture only: nothing can be dragged. */
  still?: boolean;
}>();
const emit = defineEmits<{
  layer: [key: string, volumeMl: number];
  ice: [massG: number];
  line: [cupMl: number];
}>();

const WIDTH = 500;
const STILL_WIDTH = 440;
const HEIGHT = 640;
const TOP = 30;
const FLOOR = 592;
const BRIM = 1.13;
const FOAM_ROOM = 1.04;
const GRIP_INSIDE = 24;
const LETTER = 12;
/** Where a glass begins, behind its graduations, and the most room that it takes. */
const LEFT = 62;
const WIDEST = 280;
const svg = ref<SVGSVGElement | null>(null);

const liquids = computed(() => props.layers.filter(({ onTop }) => !onTop));
const foams = computed(() => props.layers.filter(({ onTop }) => onTop));
const foamMl = computed(() => foams.value.reduce((sum, { volumeMl }) => sum + volumeMl, 0));
const shape = computed(() => {
  const brimMl = Math.max(props.cupMl * BRIM, (props.cupMl + foamMl.value) * FOAM_ROOM);
  const slim = SLIM[props.kind];
  const heightMm = slim * 2 * Math.cbrt((brimMl * 1000) / (2 * Math.PI * slim));
  return vesselShape({ brimMl, heightMm, taper: TAPER[props.kind] });
});
const scale = computed(() =>
  Math.min((FLOOR - TOP) / shape.value.heightMm, WIDEST / (2 * shape.value.topRadiusMm)),
);
const x = computed(() => LEFT + shape.value.topRadiusMm * scale.value);
const yOf = (volumeMl: number): number => FLOOR - heightOfMm(shape.value, volumeMl) * scale.value;
const halfAt = (y: number): number =>
  radiusAtMm(shape.value, (FLOOR - y) / scale.value) * scale.value;
const lineY = computed(() => yOf(props.cupMl));
/** Floating ice lifts every layer: what stands at the line is liquid and ice together. */
const lift = computed(() => {
  const liquid = liquids.value.reduce((sum, { volumeMl }) => sum + volumeMl, 0);
  return liquid > 0 ? Math.min(props.cupMl, shape.value.brimMl) / liquid : 1;
});
const stacked = computed(() => {
  let filled = 0;
  return [...liquids.value, ...foams.value].map((layer) => {
    const low = filled;
    const stretch = layer.onTop ? 1 : lift.value;
    filled += layer.volumeMl * stretch;
    const [lowY, highY] = [yOf(low), yOf(Math.min(filled, shape.value.brimMl))];
    return {
      ...layer,
      stretch,
      drawnMl: layer.volumeMl * stretch,
      lowMl: low,
      middleY: (lowY + highY) / 2,
      highY,
    };
  });
});
const noteY = computed(() => lineY.value + (foams.value.length > 0 ? 16 : -6));
const labels = computed(() =>
  placeLabels({
    labels: stacked.value,
    floorY: FLOOR,
    taken: { topY: noteY.value - LETTER, bottomY: noteY.value + LETTER / 3 },
  }),
);
const pieces = computed(() => {
  if (!props.ice) return [];
  const edgePx = props.ice.edgeMm * scale.value;
  const count = Math.min(220, props.ice.count);
  return icePieces({ count, edgePx, lineY: lineY.value, floorY: FLOOR, halfAt });
});
const edge = computed(() => (props.ice?.edgeMm ?? 0) * scale.value);
const volumeAt = (y: number): number =>
  volumeAtMl(shape.value, Math.max(0, (FLOOR - y) / scale.value));
const layerGrip = (layer: (typeof stacked.value)[number]): Grip => ({
  at: { x: x.value + halfAt(layer.highY), y: layer.highY },
  range: { value: Math.round(layer.volumeMl), min: 0, max: Math.round(props.cupMl), step: 1 },
  label: `${layer.name} in the glass`,
  valueText: layer.amount,
  invert: (y) => (volumeAt(y) - layer.lowMl) / layer.stretch,
});
/** Inside the glass, where no layer is gripped. */
const innerPlace = (y: number) => ({ x: x.value - halfAt(y) + GRIP_INSIDE, y });
/** Ice is gripped by how far below the line the glass would stand without it, a gram a mL. */
const iceGrip = ({ massG, text }: { massG: number; text: string }): Grip => ({
  at: innerPlace(yOf(Math.max(0, props.cupMl - massG))),
  range: { value: Math.round(massG), min: 0, max: Math.round(props.cupMl * 0.8), step: 5 },
  label: 'Ice in the glass',
  valueText: text,
  invert: (y) => props.cupMl - volumeAt(y),
});
const lineGrip = computed<Grip>(() => ({
  at: innerPlace(lineY.value),
  range: { value: Math.round(props.cupMl), min: 60, max: 5000, step: 5 },
  label: 'Fill line',
  valueText: props.lineText,
  invert: volumeAt,
}));
const spoken = computed(() =>
  [
    ...props.layers.map(({ name, amount }) => `${name} ${amount}`),
    props.ice?.text ?? 'no ice',
  ].join(', '),
);
</script>

<script lang="ts">
/** How many times as high as wide each kind of glass is. */
const SLIM = { tumbler: 2.05, highball: 2.7, mug: 1.05, carafe: 1.7 };
</script>

<template>
  <svg
    ref="svg"
    class="drawing"
    :class="{ still }"
    :viewBox="`0 0 ${still ? STILL_WIDTH : WIDTH} ${HEIGHT}`"
    :role="still ? 'img' : 'group'"
    :aria-label="`The glass, to scale: ${spoken}.`"
  >
    <VesselOutline
      :shape
      :x
      :floor="FLOOR"
      :scale
      ticks-side="left"
      :per-unit-ml
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
        :style="ice && ice.colour !== '' ? { fill: ice.colour, fillOpacity: 0.75 } : undefined"
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
    <text class="note" :x="x + halfAt(lineY) + 20" :y="noteY">
      {{ lineText }}
    </text>
    <g v-for="label in still ? [] : labels" :key="label.key" class="label">
      <path
        :d="`M${x + halfAt(label.middleY) + 4} ${label.middleY}L${x + shape.topRadiusMm * scale + 18} ${label.y}h10`"
      />
      <text
        v-for="(text, i) in label.lines"
        :key="i"
        :x="x + shape.topRadiusMm * scale + 34"
        :y="label.y - 2 + i * LINE_PX"
      >
        {{ text }}
      </text>
      <text
        class="figures amount"
        :x="x + shape.topRadiusMm * scale + 34"
        :y="label.y + label.lines.length * LINE_PX"
      >
        {{ label.amount }}
      </text>
    </g>
    <text v-if="ice" class="note" :x :y="FLOOR + 28" text-anchor="middle">{{ ice.text }}</text>
    <SvgHandle
      v-for="layer in still ? [] : stacked"
      :key="`grip-${layer.key}`"
      :svg
      axis="y"
      :grip="layerGrip(layer)"
      @change="emit('layer', layer.key, $event)"
    />
    <SvgHandle
      v-if="ice && !still"
      :svg
      axis="y"
      :grip="iceGrip(ice)"
      @change="emit('ice', $event)"
    >
      <rect class="ice-grip" x="-7" y="-7" width="14" height="14" rx="3" />
    </SvgHandle>
    <SvgHandle v-if="!still" :svg axis="y" :grip="lineGrip" @change="emit('line', $event)">
      <path class="line-grip" d="M-9 0h18M-5 -5L0 -10L5 -5M-5 5L0 10L5 5" />
    </SvgHandle>
  </svg>
</template>

<style scoped>
/* A label may stand out of its frame; nothing else is there. */
.drawing {
  overflow: visible;
}

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

.ice-grip {
  fill: var(--panel);
  stroke: var(--action);
  stroke-width: 2.5;
}

.line-grip {
  fill: none;
  stroke: var(--action);
  stroke-width: 2.5;
}

.fill-line {
  stroke: var(--ink);
  stroke-dasharray: 2 3;
}

.note {
  fill: var(--ink-soft);
  font-size: 13px;
}

/* On a card it is drawn at half the size, and still read. */
.still :deep(text) {
  font-size: 21px;
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
