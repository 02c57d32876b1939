<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Grip } from './grip.ts';
import SvgHandle from './SvgHandle.vue';
import VesselOutline from './VesselOutline.vue';
import { heightOfMm, TAPER, vesselShape, volumeAtMl, type VesselKind } from './vesselShape.ts';
import { cutText } from '../../format/index.ts';

/** A steep to one scale: the vessel with grounds and water in it, and the brew that comes out. */
const props = defineProps<{
  vessel: { name: string; brimMl: number; heightMm: number; kind: VesselKind };
  slurryMl: number;
  /** Most that should go in, mL. */
  workingMl: number;
  /** Wet, swollen grounds, mL. */
  bedMl: number;
  brewMl: number;
  /** What is written beside what is drawn. */
  texts: { retained: string; brew: string; level: string; head: string; steep: string };
  colours: { steep: string; brew: string };
  /** What one unit of the graduations is, mL. */
  perUnitMl: number;
  /** How wide it stands, px. */
  width: number;
}>();
const emit = defineEmits<{ level: [volumeMl: number] }>();

const TOP = 34;
/** The graduations and their labels, at either edge. */
const MARKS = 44;
/** What the level and the arrow say, between the vessels. */
const SAID = 160;
const STEP_ML = 10;
const LETTER_PX = 13;
/** On a tablet what came out is said below it, beside the level; on a phone there is no room for its vessel. */
const says = computed(() => ({ below: props.width < 500, alone: props.width < 400 }));
const floor = computed(() => (says.value.below ? 226 : 356));
const height = computed(() => floor.value + (says.value.below ? 46 : 16));
const svg = ref<SVGSVGElement | null>(null);

const before = computed(() => vesselShape({ ...props.vessel, taper: TAPER[props.vessel.kind] }));
const after = computed(() => {
  const brimMl = Math.max(300, props.brewMl * 1.12);
  // A jug a quarter higher than wide.
  const heightMm = 1.25 * 2 * Math.cbrt((brimMl * 1000) / (2 * Math.PI * 1.25));
  return vesselShape({ brimMl, heightMm, taper: TAPER.jug });
});
const title = computed(() => {
  const roomPx = props.width - 2 * MARKS;
  return cutText({ text: props.vessel.name, end: ', before', roomPx, letterPx: LETTER_PX });
});
/** px per mm, so that the higher of the two fills the drawing. */
const scale = computed(() =>
  Math.min(
    (floor.value - TOP) / Math.max(before.value.heightMm, after.value.heightMm),
    (props.width - SAID - 2 * MARKS) /
      (2 * (before.value.topRadiusMm + (says.value.alone ? 0 : after.value.topRadiusMm))),
  ),
);
const beforeX = computed(() => MARKS + before.value.topRadiusMm * scale.value);
const rightX = computed(() => props.width - MARKS);
const afterX = computed(() => rightX.value - after.value.topRadiusMm * scale.value);
const level = computed(() => Math.min(props.slurryMl, props.vessel.brimMl));
const yOf = (volumeMl: number): number =>
  floor.value - heightOfMm(before.value, volumeMl) * scale.value;
const edgeX = computed(() => beforeX.value + before.value.topRadiusMm * scale.value);
const levelY = computed(() => yOf(level.value));
const brewTop = computed(() => floor.value - after.value.heightMm * scale.value);
const overflows = computed(() => props.slurryMl > props.vessel.brimMl);
const grip = computed<Grip>(() => {
  const brimMl = Math.round(props.vessel.brimMl);
  return {
    at: { x: edgeX.value + 18, y: levelY.value },
    range: {
      value: Math.round(props.slurryMl),
      min: Math.round(brimMl / 10),
      max: brimMl,
      step: STEP_ML,
    },
    label: 'Level in the vessel',
    valueText: props.texts.level,
    invert: (y) => volumeAtMl(before.value, Math.max(0, (floor.value - y) / scale.value)),
  };
});
const arrowEnd = computed(() =>
  says.value.alone ? rightX.value : afterX.value - after.value.topRadiusMm * scale.value - 14,
);
/** What is said between the vessels, one line each: how far a line reaches above and below where it stands. */
const LINE = { above: 12, below: 4 } as const;
/** The headspace: between brim and level, or below what the level says, or above the vessel's name. */
const headY = computed(() => {
  const brimY = yOf(props.vessel.brimMl);
  if (levelY.value - brimY > 2 * LINE.below + LINE.above) return brimY + 6;
  return levelY.value + 24 < floor.value - 84 ? levelY.value + 24 : brimY - 32;
});
/** The arrow of the steep and its line: low, or where neither level nor headspace is said. */
const courseY = computed(() => {
  const said = [levelY.value + 4, headY.value];
  const isClear = (y: number): boolean =>
    y < floor.value - 4 &&
    said.every((line) => y + 6 < line - LINE.above || y - 12 - LINE.above > line + LINE.below);
  const low = floor.value - 50;
  return [low, levelY.value + 38, levelY.value - 18].find(isClear) ?? low;
});
</script>

<template>
  <svg
    ref="svg"
    class="drawing"
    :viewBox="`0 0 ${width} ${height}`"
    role="group"
    :aria-label="`${vessel.name}, to scale. ${texts.level}. ${texts.head}. After straining: ${texts.brew}; ${texts.retained}.`"
  >
    <text class="title" :x="MARKS" :y="yOf(vessel.brimMl) - 12">{{ title }}</text>
    <VesselOutline
      :shape="before"
      :x="beforeX"
      :floor
      :scale
      ticks-side="left"
      :per-unit-ml
      :layers="[
        { volumeMl: Math.max(0, level - bedMl), colour: colours.steep, grounds: false },
        { volumeMl: Math.min(level, bedMl), colour: colours.steep, grounds: true },
      ]"
    />
    <line
      class="working"
      :x1="edgeX - 14"
      :x2="edgeX + 8"
      :y1="yOf(workingMl)"
      :y2="yOf(workingMl)"
    />
    <line
      class="level"
      :x1="beforeX - before.topRadiusMm * scale - 6"
      :x2="edgeX + 14"
      :y1="levelY"
      :y2="levelY"
    />
    <text class="note" :class="{ due: overflows }" :x="edgeX + 12" :y="headY">
      {{ texts.head }}
    </text>
    <text class="set" :x="edgeX + 30" :y="levelY + 4">{{ texts.level }}</text>
    <SvgHandle :svg axis="y" :grip @change="emit('level', $event)" />

    <g class="course">
      <text class="note" :x="edgeX + 14" :y="courseY - 12">{{ texts.steep }}</text>
      <path :d="`M${edgeX + 14} ${courseY}H${arrowEnd}m-9 -5l9 5l-9 5`" />
    </g>

    <text class="note" :x="rightX" :y="says.below ? floor + 38 : brewTop - 30" text-anchor="end">
      {{ texts.retained }}
    </text>
    <text class="title" :x="rightX" :y="says.below ? floor + 20 : brewTop - 12" text-anchor="end">
      Brew, after: {{ texts.brew }}
    </text>
    <VesselOutline
      v-if="!says.alone"
      :shape="after"
      :x="afterX"
      :floor
      :scale
      ticks-side="right"
      :per-unit-ml
      :layers="[{ volumeMl: brewMl, colour: colours.brew, grounds: false }]"
    />
  </svg>
</template>

<style scoped>
.drawing {
  display: block;
  width: 100%;
  height: auto;
}

text {
  fill: var(--ink);
  font-size: 13px;
}

.title {
  font-weight: 600;
}

.note {
  fill: var(--ink-soft);
  font-size: 12.5px;
}

.note.due {
  fill: var(--due);
  font-weight: 600;
}

.set {
  fill: var(--action);
  font-weight: 600;
}

.level {
  stroke: var(--action);
  stroke-width: 2;
}

.working {
  stroke: var(--ink);
  stroke-width: 1.5;
  stroke-dasharray: 3 3;
}

.course path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
</style>
