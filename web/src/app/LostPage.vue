<script setup lang="ts">
import { RouterLink, useRoute } from 'vue-router';

/** Where an address leads to no page. */
const route = useRoute();
</script>

<template>
  <div class="page">
    <div class="empty">
      <h1>There is no page {{ route.path }}</h1>
      <p>
        The address may have been typed or cut short.
        <RouterLink to="/bench">Go to the bench</RouterLink>
      </p>
    </div>
  </div>
</template>

<style scoped>
h1 {
  overflow-wrap: anywhere;
}
</style>
