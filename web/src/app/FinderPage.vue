<script setup lang="ts">
import FinderDialog from './FinderDialog.vue';
import { useFinder } from './useFinder.ts';

const open = defineModel<boolean>({ required: true });
const sought = defineModel<string>('sought', { required: true });
const { found, go } = useFinder(sought);
</script>

<template>
  <FinderDialog v-model="open" v-model:sought="sought" :found @go="go" />
</template>
