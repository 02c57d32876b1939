<script setup lang="ts">
import { LinkButton } from '../buttons/index.ts';

/** Says what of the page's address cannot be, as its reader names it; nothing where all of it can. */
defineProps<{ wrong: readonly string[] }>();
const emit = defineEmits<{ leave: [] }>();
</script>

<template>
  <p v-if="wrong.length > 0" class="due" role="alert">
    The address asks for {{ wrong.join(', ') }}, which cannot be. What is usual stands here instead.
    <LinkButton @click="emit('leave')">Go on without it</LinkButton>
  </p>
</template>
