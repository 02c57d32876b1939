<script setup lang="ts">
import { RouterLink } from 'vue-router';

/** The title of a page of the log, and the way to the others. */
defineProps<{ title: string }>();
const WAYS = [
  { to: '/log', name: 'Batches' },
  { to: '/log/learning', name: 'Predicted and found' },
  { to: '/log/tasting', name: 'Tasting' },
  { to: '/log/cost', name: 'Cost' },
] as const;
</script>

<template>
  <header>
    <h1>{{ title }}</h1>
    <nav class="no-print" aria-label="The log">
      <RouterLink v-for="way in WAYS" :key="way.to" :to="way.to">{{ way.name }}</RouterLink>
    </nav>
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 24px;
}

nav {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}

nav a.router-link-exact-active {
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
}
</style>
