<script setup lang="ts">
import { ElButton } from 'element-plus';

/** A button that reads as a link: beside a figure, in a row, in a sentence. */
</script>

<template>
  <ElButton link native-type="button"><slot /></ElButton>
</template>
