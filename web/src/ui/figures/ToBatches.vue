<script setup lang="ts">
import { RouterLink } from 'vue-router';

/** The way on from a page that waits for a batch: to what steeps, or to a plan where nothing does. */
defineProps<{ steeping: boolean }>();
</script>

<template>
  <RouterLink v-if="steeping" to="/steep">See what is steeping</RouterLink>
  <RouterLink v-else to="/plan">Plan a batch</RouterLink>
</template>
