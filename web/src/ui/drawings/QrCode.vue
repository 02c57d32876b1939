<script setup lang="ts">
import { create } from 'qrcode';
import { computed } from 'vue';

/** A link as a square code that a tablet's camera reads. */
const props = defineProps<{ text: string }>();

const QUIET = 4;
const code = computed(() => {
  const { size, data } = create(props.text).modules;
  const squares = [...data].flatMap((isDark, i) =>
    isDark ? [`M${(i % size) + QUIET} ${Math.floor(i / size) + QUIET}h1v1h-1z`] : [],
  );
  return { side: size + 2 * QUIET, path: squares.join('') };
});
</script>

<template>
  <svg :viewBox="`0 0 ${code.side} ${code.side}`" role="img" :aria-label="`Code for ${text}`">
    <rect :width="code.side" :height="code.side" fill="#fff" />
    <path :d="code.path" fill="#000" shape-rendering="crispEdges" />
  </svg>
</template>
