<script setup lang="ts">
import { computed } from 'vue';
import HintText from './HintText.vue';
import { dateName, dayName } from '../../format/index.ts';
import { LinkButton } from '../buttons/index.ts';

/** Whether a package stands open (or a house recipe is made), until when it is used, and what to do about it. */
const props = defineProps<{
  name: string;
  life: { at: Date; lastDay: string; daysLeft: number } | null;
  zone: string;
  /** What beginning one is called. */
  opening: string;
}>();
const emit = defineEmits<{ open: []; usedUp: [] }>();

const state = computed(() => {
  if (!props.life) return null;
  const { daysLeft, lastDay } = props.life;
  const last = dateName(lastDay);
  if (daysLeft < 0) return { text: `past: ${last}`, tone: 'due' };
  if (daysLeft === 0) return { text: 'to the end of today', tone: 'due' };
  return { text: `to ${last}`, tone: 'resting' };
});
const since = computed(() =>
  props.life ? `since ${dayName({ at: props.life.at, zone: props.zone })}` : '',
);
</script>

<template>
  <div class="state">
    <HintText v-if="state" class="until" :class="state.tone" :hint="since">{{
      state.text
    }}</HintText>
    <span class="ways no-print">
      <LinkButton :aria-label="`${name}: ${life ? 'a new one' : opening}`" @click="emit('open')">
        {{ life ? 'a new one' : opening }}
      </LinkButton>
      <LinkButton v-if="life" :aria-label="`${name}: used up`" @click="emit('usedUp')">
        used up
      </LinkButton>
    </span>
  </div>
</template>

<style scoped>
.state {
  display: grid;
  padding: 4px 0 2px;
  font-size: var(--t13);
  line-height: 1.3;
}

.state :deep(.until) {
  justify-self: start;
}

.ways :deep(.el-button) {
  padding: 0 10px 0 0;
}
</style>
