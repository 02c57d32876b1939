<script setup lang="ts">
import { ElButton } from 'element-plus';
import CloseIcon from '~icons/lucide/x';

/** Takes one thing out of a list. */
defineProps<{ label: string }>();
</script>

<template>
  <ElButton text :icon="CloseIcon" native-type="button" class="icon-button" :aria-label="label" />
</template>
