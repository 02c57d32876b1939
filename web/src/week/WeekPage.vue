<script setup lang="ts">
import { ElButton } from 'element-plus';
import { RouterLink } from 'vue-router';
import { useWeek } from './useWeek.ts';

/** The week on one sheet: what is expected, and what is to be done on each day. */
const { week, advice, gone, isRead, shop } = useWeek();
const print = (): void => window.print();
</script>

<template>
  <div class="page week">
    <header>
      <h1>The week</h1>
      <span class="soft">{{ shop?.name }}</span>
      <span class="no-print tools">
        <RouterLink to="/bench">The day</RouterLink>
        <ElButton type="primary" @click="print">Print</ElButton>
      </span>
    </header>
    <p class="soft advice">
      <template v-if="advice"
        >Start next: <b>{{ advice.title }}</b>{{ advice.by ? `, by ${advice.by}` : '' }}.</template
      >
    </p>
    <div v-if="isRead" class="days">
      <section v-for="day in week" :key="day.date" :aria-label="day.title">
        <h2>{{ day.title }}</h2>
        <p class="count">
          <span class="figures">{{ day.expected }}</span> <span class="soft">drinks</span>
        </p>
        <p v-if="gone?.date === day.date" class="due">all is gone {{ gone.at }}</p>
        <template v-if="day.hands.length > 0">
          <h3>Hands</h3>
          <p v-for="hand in day.hands" :key="hand">{{ hand }}</p>
        </template>
        <template v-if="day.make.length > 0">
          <h3>Make</h3>
          <p v-for="one in day.make" :key="one">{{ one }}</p>
        </template>
        <template v-if="day.useBy.length > 0">
          <h3>Last day</h3>
          <p v-for="one in day.useBy" :key="one">{{ one }}</p>
        </template>
      </section>
    </div>
  </div>
</template>

<style scoped>
header {
  display: flex;
  align-items: center;
  gap: 16px;
}

.tools {
  display: flex;
  align-items: center;
  gap: 16px;
  margin-left: auto;
}

/* Its line waits for it. */
.advice {
  min-height: 1lh;
}

.days {
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  margin-top: 14px;
  border: 1px solid var(--hairline);
  background: var(--panel);
}

section {
  min-height: 420px;
  padding: 12px;
  font-size: var(--t13);
}

section + section {
  border-left: 1px solid var(--hairline);
}

h2 {
  color: var(--ink);
  font-size: var(--t15);
}

h3 {
  margin: 12px 0 2px;
  color: var(--ink-soft);
  font-size: var(--t13);
}

.count .figures {
  font-size: var(--t18);
  font-weight: 600;
}

section p + p {
  margin-top: 4px;
}

@media (max-width: 1000px) {
  .days {
    grid-template-columns: minmax(0, 1fr);
  }

  section {
    min-height: 0;
  }

  section + section {
    border-top: 1px solid var(--hairline);
    border-left: 0;
  }
}

@media print {
  @page week {
    size: A4 landscape;
    margin: 10mm;
  }

  :global(body:has(.week)) {
    page: week;
  }

  .page {
    padding: 0;
  }

  .days {
    grid-template-columns: repeat(7, minmax(0, 1fr));
  }

  section {
    min-height: 140mm;
  }
}
</style>
