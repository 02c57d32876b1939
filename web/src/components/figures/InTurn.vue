<script setup lang="ts">
import { useTurn } from '../../composables/useTurn.ts';

/** A part of a page that is put up when it is its turn: the page stands in many short tasks. */
const isOn = useTurn();
</script>

<template>
  <slot v-if="isOn" />
</template>
