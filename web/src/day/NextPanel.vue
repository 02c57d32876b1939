<script setup lang="ts">
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import type { Hand } from './hand.ts';
import { clockTime, fromNow, hourTime } from '../format/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';

/** The one thing that needs a hand next, and what comes right after it. */
const props = defineProps<{
  hands: readonly Hand[];
  now: Date;
  zone: string;
  hasPutOff: boolean;
}>();
const emit = defineEmits<{ later: [key: string]; back: []; plan: [] }>();
const router = useRouter();

const SOON_MS = 15 * 60_000;
const MOST = 4;
const at = (ms: number): string => clockTime({ at: new Date(ms), zone: props.zone });
const next = computed(() => props.hands[0] ?? null);
const isDue = computed(() => next.value !== null && next.value.atMs <= props.now.getTime());
/** Another day is said with its name, today by its hour. */
const time = computed(() =>
  next.value ? hourTime({ at: new Date(next.value.atMs), zone: props.zone }) : '',
);
const day = computed(() => {
  if (!next.value) return '';
  const [weekday] = at(next.value.atMs).split(' ');
  return weekday === at(props.now.getTime()).split(' ')[0] ? '' : weekday!;
});
const soon = computed(() =>
  props.hands
    .slice(1)
    .filter(({ atMs }, i) => i === 0 || atMs <= props.now.getTime() + SOON_MS)
    .slice(0, MOST),
);
</script>

<template>
  <section aria-labelledby="next">
    <h2 id="next">Next</h2>
    <template v-if="next">
      <p class="when" :class="{ due: isDue }">
        <strong class="figures">{{ time }}</strong>
        <span>
          {{ day }} {{ isDue ? 'since then, ' : '' }}{{ fromNow({ at: new Date(next.atMs), now }) }}
          <b>{{ next.where }}</b>
        </span>
      </p>
      <p class="what">
        {{ next.title }}<span v-if="next.text !== ''">, {{ next.text }}</span>
      </p>
      <div class="do no-print">
        <ElButton type="primary" class="large" @click="router.push(next.to)">{{
          next.button
        }}</ElButton>
        <ElButton @click="emit('later', next.key)">Later</ElButton>
      </div>
      <ul v-if="soon.length > 0">
        <li v-for="hand in soon" :key="hand.key">
          <span class="figures">{{ at(hand.atMs) }}</span>
          <RouterLink :to="hand.to">{{ hand.title }}</RouterLink>
          <span class="soft">{{ hand.where }}</span>
        </li>
      </ul>
    </template>
    <template v-else>
      <p class="what">Nothing needs a hand.</p>
      <ElButton class="no-print" @click="emit('plan')">Plan a batch</ElButton>
    </template>
    <LinkButton v-if="hasPutOff" class="no-print" @click="emit('back')"
      >Show what was put off</LinkButton
    >
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}

.when {
  display: flex;
  align-items: center;
  gap: 14px;
}

.when .figures {
  font-size: var(--t64);
  font-weight: 600;
  letter-spacing: -0.04em;
  line-height: 1;
}

.when span {
  font-size: var(--t15);
}

.when b {
  display: block;
  color: var(--ink);
}

.what {
  font-size: var(--t18);
  font-weight: 600;
}

.what span {
  font-weight: 400;
}

.do {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px;
}

.do .el-button {
  margin: 0;
}

.large {
  min-height: 52px;
  font-size: var(--t18);
}

li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 10px;
  font-size: var(--t13);
}
@media print {
  .when .figures {
    font-size: 24pt;
  }

  .when span,
  li {
    font-size: inherit;
  }
}
</style>
