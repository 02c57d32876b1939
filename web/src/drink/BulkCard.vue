<script setup lang="ts">
import type { Bulk, SiphonPlan } from '@ratio/core/drink';
import type { AmountFormat } from '../format/index.ts';

/** The drink made for many glasses at once, in a siphon or a keg, before anything is charged. */
defineProps<{
  bulk: Bulk & { serve: 'siphon' | 'keg'; plan: SiphonPlan | null };
  format: AmountFormat;
}>();
</script>

<template>
  <section class="bulk" :aria-label="bulk.serve === 'siphon' ? 'In the siphon' : 'In the keg'">
    <h2>
      {{
        bulk.serve === 'siphon'
          ? 'One siphon, to its fill mark'
          : 'One keg, diluted before it is drawn'
      }}
    </h2>
    <p class="line">
      <strong class="figures">{{ format.volume(bulk.volumeMl) }}</strong>
      <span>{{ bulk.glasses }} glasses of {{ format.volume(bulk.perGlassMl) }},</span>
      <span>{{ format.percent(bulk.strengthFrac) }} in it,</span>
      <span>keeps {{ bulk.keepDays }} day{{ bulk.keepDays === 1 ? '' : 's' }} at most</span>
    </p>
    <p class="soft">
      {{
        bulk.ingredients
          .map(({ name, volumeMl }) => `${format.volume(volumeMl)} ${name.toLowerCase()}`)
          .join(' + ')
      }}
    </p>
    <p v-if="bulk.plan" class="soft">
      {{ bulk.plan.charges }} nitrogen charger{{ bulk.plan.charges === 1 ? '' : 's' }},
      {{ format.money(bulk.plan.price) }},
      {{ format.money(bulk.plan.price / Math.max(1, bulk.glasses)) }} a glass. Chill it first; it
      foams less when nearly empty.
    </p>
  </section>
</template>

<style scoped>
.bulk {
  border: 1px solid var(--hairline);
  background: var(--panel);
  padding: 8px 12px;
  font-size: var(--t13);
}

.line {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 6px;
}

.line strong {
  font-size: var(--t18);
}
</style>
