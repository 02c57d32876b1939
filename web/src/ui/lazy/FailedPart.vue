<script setup lang="ts">
import { LinkButton } from '../buttons/index.ts';

/** Stands for a part of a page that could not be loaded. */
const reload = (): void => location.reload();
</script>

<template>
  <p class="due" role="alert">
    This part did not load.
    <LinkButton @click="reload">Reload the page</LinkButton>: what you typed is kept.
  </p>
</template>
