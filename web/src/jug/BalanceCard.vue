<script setup lang="ts">
import type { Balance } from './useJug.ts';
import { ActButton, useRefusals } from '../ui/fields/index.ts';

/** Something to do to a jug: what is asked, the balance worked out, and the button that does it. */
defineProps<{
  title: string;
  reason: string;
  balance: Balance | null;
  /** The balance in one line, with this jug's numbers. */
  worked: string;
  /** What the menu becomes. */
  menu: string;
  action: string;
  doing: boolean;
  /** Whether something is still to be said. */
  disabled?: boolean;
}>();
const emit = defineEmits<{ act: [] }>();
useRefusals();
</script>

<template>
  <section class="balance" :aria-label="title">
    <h2>{{ title }}</h2>
    <p class="soft fine">{{ reason }}</p>
    <div class="asked"><slot /></div>
    <p v-if="balance && balance.wrong !== ''" class="due fine" role="alert">{{ balance.wrong }}</p>
    <template v-else>
      <p class="figures worked">{{ worked }}</p>
      <p class="soft fine">{{ menu }}</p>
    </template>
    <ActButton
      primary
      :disabled="disabled || (balance !== null && (balance.wrong !== '' || balance.addG <= 0))"
      :doing
      @act="emit('act')"
      >{{ balance && balance.wrong !== '' ? 'It cannot be done so' : action }}</ActButton
    >
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
