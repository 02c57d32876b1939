<script setup lang="ts">
import { useBase64 } from '@vueuse/core';

/** A photograph that waits for the server. As text: the content policy lets no other address in. */
const props = defineProps<{ photo: Blob; name: string }>();
const { base64 } = useBase64(() => props.photo);
</script>

<template>
  <figure>
    <img :src="base64" :alt="name" />
    <figcaption class="soft">waits for the server</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}

img {
  display: block;
  height: 96px;
  border: 1px solid var(--hairline);
}
</style>
