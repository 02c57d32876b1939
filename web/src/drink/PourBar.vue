<script setup lang="ts">
import { RouterLink } from 'vue-router';
import { LinkButton } from '../ui/buttons/index.ts';
import { ActButton } from '../ui/fields/index.ts';

/** The button that pours, and what stands in its way. */
defineProps<{
  count: number;
  /** Whether the jug is only assumed: nothing is counted out of it. */
  assumed: boolean;
  /** Whether the jug holds enough for it. */
  enough: boolean;
  /** Whether there is something to pour. */
  canPour: boolean;
  pouring: boolean;
  /** What the first warning says that is out of sight; empty where none is. */
  unseen: string;
}>();
const emit = defineEmits<{ pour: []; look: [] }>();
</script>

<template>
  <div class="go no-print">
    <p v-if="assumed" class="fine">
      Pour it so. To count what is poured,
      <RouterLink to="/jugs/new">note the jug that it comes from</RouterLink>.
    </p>
    <ActButton
      v-else
      primary
      :disabled="!enough || !canPour"
      :doing="pouring"
      @act="emit('pour')"
      >{{ count === 1 ? 'Pour this one' : `Pour these ${count}` }}</ActButton
    >
    <p v-if="!enough" class="due">The jug holds too little for it. Take another jug.</p>
    <!-- It stands in the list above too, below the edge of the screen. -->
    <p v-else-if="unseen !== ''" class="fine" aria-hidden="true">
      <strong class="due">Caution</strong> {{ unseen }}.
      <LinkButton tabindex="-1" @click="emit('look')">What to do</LinkButton>
    </p>
  </div>
</template>

<style scoped>
.go {
  position: sticky;
  bottom: 0;
  z-index: 1;
  display: flex;
  align-items: center;
  gap: 14px;
  margin: auto -24px 0;
  border-top: 1px solid var(--hairline);
  background: var(--paper);
  padding: 8px 24px;
}

.fine {
  font-size: var(--t13);
}

@media (max-width: 640px) {
  .go {
    position: fixed;
    inset: auto 0 0;
    z-index: 3;
    margin: 0;
    padding-inline: 14px;
  }
}
</style>
