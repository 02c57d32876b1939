<script setup lang="ts">
/** The figure of a panel, its unit smaller, and what goes with it. */
withDefaults(
  defineProps<{
    label: string;
    figure: string;
    unit: string;
    size?: 'large' | 'middle' | 'small';
  }>(),
  { size: 'large' },
);
</script>

<template>
  <div class="figure" :class="size">
    <div v-if="$slots.head" class="head">
      <h2>{{ label }}</h2>
      <slot name="head" />
    </div>
    <h2 v-else>{{ label }}</h2>
    <p class="line">
      <span class="figures number">{{ figure }}</span>
      <span class="small-unit">{{ unit }}</span>
      <span v-if="$slots.also" class="also"><slot name="also" /></span>
    </p>
    <p v-if="$slots.default" class="soft"><slot /></p>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: baseline;
  gap: 4px;
}

.line {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 0.35rem;
}

.number {
  font-weight: 500;
  line-height: 1.05;
  letter-spacing: -0.03em;
}

.large .number {
  font-size: var(--t64);
}

.middle .number {
  font-size: var(--t40);
}

.small .number {
  font-size: var(--t24);
}

.small-unit {
  color: var(--ink-soft);
  font-size: var(--t18);
}

.large .small-unit {
  font-size: var(--t24);
}

.small h2 {
  line-height: 1.15;
}

.small .small-unit {
  font-size: var(--t13);
}

.also {
  margin-left: 0.4rem;
  font-weight: 600;
}
</style>
