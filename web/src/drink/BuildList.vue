<script setup lang="ts">
import type { BuildRow } from './useBuild.ts';
import type { Measuring } from './usePour.ts';
import type { Bulk, SiphonPlan } from '@ratio/core/drink';
import type { AmountFormat } from '../format/index.ts';
import { PickButtons } from '../ui/fields/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';

const BulkCard = lazyComponent(() => import('./BulkCard.vue'));

defineOptions({ inheritAttrs: false });
/** What to pour in which order, as the bar's tools measure it, and what that rounding does. */
defineProps<{
  build: readonly BuildRow[];
  /** What the rounding does, in a sentence; empty where nothing is rounded. */
  rounding: string;
  /** How warm a hot drink is; empty where it is not one. */
  hotText: string;
  /** Made for many glasses at once, where it is. */
  bulk: (Bulk & { serve: 'siphon' | 'keg'; plan: SiphonPlan | null }) | null;
  format: AmountFormat;
}>();
const measuring = defineModel<Measuring | null>('measuring', { required: true });
const count = defineModel<number | null>('count', { required: true });

const MEASURES: readonly { value: Measuring; text: string }[] = [
  { value: 'jigger', text: 'Jigger' },
  { value: 'scale', text: 'Scale' },
  { value: 'exact', text: 'Exact' },
];
const COUNTS = [1, 2, 3, 6].map((n) => ({
  value: n,
  text: `× ${n}`,
  name: `${n} glass${n === 1 ? '' : 'es'}`,
}));
</script>

<template>
  <section v-bind="$attrs" aria-labelledby="build-head">
    <div class="head">
      <h2 id="build-head">Pour in this order</h2>
      <PickButtons
        v-model="count"
        class="no-print"
        label="How many glasses"
        small
        :options="COUNTS"
      />
      <PickButtons
        v-model="measuring"
        class="no-print"
        label="Measured by"
        small
        :options="MEASURES"
      />
    </div>
    <ol>
      <li v-for="(row, i) in build" :key="row.key">
        <span class="figures soft">{{ i + 1 }}</span>
        <span>{{ row.name }}</span>
        <strong class="figures">{{ row.amount }}</strong>
        <span class="soft also">{{ row.also }}</span>
      </li>
    </ol>
    <p v-if="rounding !== ''" class="soft rounding">{{ rounding }}</p>
  </section>
  <p v-if="hotText" class="hot">{{ hotText }}</p>
  <BulkCard v-if="bulk" :bulk :format />
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
}

.head h2 {
  margin-right: auto;
}

li {
  display: grid;
  grid-template-columns: 1.4rem 1fr auto 7rem;
  align-items: baseline;
  padding: 3px 0;
  border-bottom: 1px solid var(--hairline);
}

li strong {
  font-size: var(--t18);
}

.also {
  text-align: right;
  font-size: var(--t13);
}

.rounding {
  padding-top: 4px;
}

.rounding,
.hot {
  font-size: var(--t13);
}

@media (max-width: 640px) {
  li {
    grid-template-columns: 1.4rem 1fr auto 5.2rem;
  }
}

@media (pointer: coarse) {
  .pick button {
    min-width: var(--touch);
    min-height: var(--touch);
  }
}
</style>
