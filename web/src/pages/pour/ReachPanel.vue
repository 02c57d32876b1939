<script setup lang="ts">
import type { Caution } from '@ratio/core';
import CautionList from '../../figure/CautionList.vue';

/** Why a drink is out of reach, and what would reach it: each taken by a tap where it can be. */
defineProps<{
  why: Caution;
  ways: readonly {
    readonly way: { readonly way: string };
    readonly text: string;
    readonly take: (() => void) | null;
  }[];
}>();
</script>

<template>
  <div class="reach">
    <CautionList :cautions="[why]" />
    <template v-if="ways.length > 0">
      <p><strong>What would reach it</strong></p>
      <ul>
        <li v-for="{ way, text, take } in ways" :key="way.way">
          <button v-if="take" type="button" @click="take">{{ text }}</button>
          <template v-else>{{ text }}</template>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.reach {
  display: grid;
  gap: 4px;
  font-size: var(--t13);
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
}

li {
  display: flex;
  align-items: center;
  min-height: 36px;
}

li button {
  min-height: 36px;
  border: 1px solid var(--hairline-strong);
  border-radius: 4px;
  background: var(--panel);
  padding: 0 10px;
  cursor: pointer;
}
</style>
