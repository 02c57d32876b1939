<script setup lang="ts">
import { computed } from 'vue';
import type { JugCard } from './jugCard.ts';
import { ActButton, FieldRows, useRefusals } from '../ui/fields/index.ts';

/** Something to do to a jug: what is asked, the balance worked out, and the button that does it. */
const { card } = defineProps<{ card: JugCard; doing: boolean }>();
const wrong = computed(() => card.balance?.wrong ?? '');
const adds = computed(() => card.balance === undefined || card.balance.addG > 0);
useRefusals();
</script>

<template>
  <section class="balance" :aria-label="card.title">
    <h2>{{ card.title }}</h2>
    <p class="soft fine">{{ card.reason }}</p>
    <div class="asked"><FieldRows :rows="card.rows" /></div>
    <p v-if="wrong !== ''" class="due fine" role="alert">{{ wrong }}</p>
    <template v-else>
      <p class="figures worked">{{ card.worked }}</p>
      <p class="soft fine">{{ card.menu }}</p>
    </template>
    <ActButton primary :disabled="card.disabled || wrong !== '' || !adds" :doing @act="card.act">{{
      wrong === '' ? card.action : 'It cannot be done so'
    }}</ActButton>
  </section>
</template>

<style scoped>
.balance {
  display: grid;
  align-content: start;
  gap: 6px;
  border: 1px solid var(--hairline);
  background: var(--panel);
  padding: 14px 18px;
}

h2 {
  color: var(--ink);
  font-size: var(--t18);
}

.fine {
  font-size: var(--t13);
}

.asked {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
  gap: 0 16px;
}

.worked {
  font-size: var(--t15);
  font-weight: 500;
}

.balance > .el-button {
  justify-self: start;
}
</style>
