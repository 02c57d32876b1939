<script setup lang="ts">
import { shallowRef } from 'vue';
import type { UseUp } from './useUseUp.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';

const ThrowAway = lazyComponent(() => import('./ThrowAway.vue'));

/** What has to be used up or thrown away, with the reason. */
defineProps<{ list: readonly UseUp[]; money: (price: number) => string }>();
const emit = defineEmits<{ throw: [one: UseUp, reason: string] }>();

const picked = shallowRef<UseUp | null>(null);
</script>

<template>
  <section v-if="list.length > 0" aria-labelledby="use-up">
    <h2 id="use-up">Use up or throw away</h2>
    <ul>
      <li v-for="one in list" :key="one.key">
        <b>{{ one.name }}</b>
        <span :class="one.isPast ? 'due' : 'soft'">{{ one.when }}</span>
        <LinkButton class="no-print" @click="picked = one">throw away</LinkButton>
      </li>
    </ul>
    <ThrowAway
      v-if="picked"
      :key="picked.key"
      :one="picked"
      :money
      @throw="(reason) => emit('throw', picked!, reason)"
      @closed="picked = null"
    />
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 4px;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 10px;
  font-size: var(--t13);
}
</style>
