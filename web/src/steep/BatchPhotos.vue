<script setup lang="ts">
import WaitingPhoto from './WaitingPhoto.vue';
import { clockTime } from '../format/index.ts';

/** Photographs of a batch, those too that wait for the server. */
const props = defineProps<{
  photos: readonly { readonly id: string; readonly at: string }[];
  waiting: readonly { readonly id: string; readonly at: string; readonly photo: Blob }[];
  zone: string;
}>();
const nameOf = (at: string): string =>
  `Photograph of ${clockTime({ at: new Date(at), zone: props.zone })}`;
</script>

<template>
  <ul class="photos" aria-label="Photographs">
    <li v-for="{ id, at } in photos" :key="id">
      <a :href="`/api/photos/${id}`" target="_blank" rel="noopener"
        ><img :src="`/api/photos/${id}`" :alt="nameOf(at)" loading="lazy"
      /></a>
    </li>
    <li v-for="{ id, at, photo } in waiting" :key="id">
      <WaitingPhoto :photo :name="nameOf(at)" />
    </li>
  </ul>
</template>

<style scoped>
.photos {
  display: flex;
  gap: 8px;
  overflow-x: auto;
}

img {
  display: block;
  height: 96px;
  border: 1px solid var(--hairline);
}
</style>
