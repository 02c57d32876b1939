<script setup lang="ts">
import { ElButton } from 'element-plus';
import BigFigure from './BigFigure.vue';

/** A figure that says where it comes from when it is tapped. */
defineProps<{ label: string; figure: string; unit: string }>();
const emit = defineEmits<{ why: [] }>();
</script>

<template>
  <ElButton link native-type="button" class="asked" @click="emit('why')">
    <BigFigure size="small" :label :figure :unit />
  </ElButton>
</template>

<style scoped>
/* As it stands beside figures that are not asked. */
.asked {
  align-items: start;
  height: auto;
  padding: 0;
  color: var(--ink);
  line-height: inherit;
  text-decoration: none;
}

.asked :deep(h2) {
  color: var(--action);
  text-decoration: underline;
}
</style>
