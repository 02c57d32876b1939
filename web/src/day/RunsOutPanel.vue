<script setup lang="ts">
import { ElButton } from 'element-plus';
import { LinkButton } from '../ui/buttons/index.ts';

/** Which jug is empty first, how many drinks that is, and the batch that has to start before then. */
defineProps<{
  first: { label: string; at: string | null; when: string; range: string } | null;
  pace: string;
  whole: string;
  drinksLeft: readonly { id: string; name: string; count: number }[];
  advice: {
    title: string;
    by: string | null;
    isInTime: boolean;
    comesTo: string;
    covers: boolean;
    open: () => unknown;
  } | null;
  noVessel: boolean;
  helps: readonly { key: string; title: string; effect: string; to: (() => unknown) | null }[];
  /** Whether the pours of the last weeks have come. */
  isKnown: boolean;
}>();
</script>

<template>
  <section aria-labelledby="runs-out">
    <h2 id="runs-out">Runs out first</h2>
    <template v-if="first">
      <p v-if="first.at" class="head">
        {{ first.label }}, at <span class="figures">{{ first.at }}</span>
      </p>
      <p v-else class="head">{{ first.label }}: {{ isKnown ? 'not within two weeks' : '…' }}</p>
      <p v-if="first.range !== ''" class="fine">
        <span class="figures">{{ first.range }}</span>, on 9 such days in 10. {{ pace }}
      </p>
      <p v-else-if="isKnown && pace === ''" class="fine">
        Nobody has noted a pour yet. When drinks are poured at Pour, or jugs are counted, this says
        what runs out when.
      </p>
      <p v-if="whole !== ''" class="fine">{{ whole }}</p>
      <p class="left">
        <span v-for="drink in drinksLeft" :key="drink.id"
          ><b class="figures">{{ drink.count }}</b> {{ drink.name }}</span
        >
      </p>
    </template>
    <p v-else class="head due">No concentrate is on hand</p>
  </section>
  <section v-if="advice || noVessel" aria-labelledby="start-next">
    <h2 id="start-next">Start next</h2>
    <template v-if="advice">
      <p class="head">{{ advice.title }}</p>
      <p v-if="advice.isInTime" class="fine">
        <b class="resting">Start by {{ advice.by }}</b
        >, then it is ready before all is gone. {{ advice.comesTo
        }}{{ advice.covers ? ', enough for two days' : ', all that the vessel takes' }}.
      </p>
      <p v-else class="fine">
        <b class="due">{{
          advice.by ? `It had to start ${advice.by}.` : 'No start fits the hours of the crew.'
        }}</b>
        {{ advice.comesTo }} if it starts now.
      </p>
      <ElButton class="no-print" @click="advice.open()">Open this plan</ElButton>
    </template>
    <p v-else class="fine">Every vessel is taken or has to be cleaned first.</p>
    <template v-if="helps.length > 0">
      <h3>What helps until then</h3>
      <ul class="helps">
        <li v-for="help in helps" :key="help.key">
          <LinkButton v-if="help.to" @click="help.to()">{{ help.title }}</LinkButton>
          <strong v-else>{{ help.title }}</strong>
          <span class="soft">{{ help.effect }}</span>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 6px;
  justify-items: start;
}

.head {
  font-size: var(--t18);
  font-weight: 600;
}

.fine {
  font-size: var(--t13);
}

.left {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  min-height: 1.4em;
  font-size: var(--t13);
}

h3 {
  margin: 6px 0 0;
  font-size: var(--t13);
}

.helps {
  display: grid;
  gap: 4px;
}

.helps li {
  display: grid;
  justify-items: start;
  font-size: var(--t13);
}

.helps :deep(.el-button) {
  min-height: 28px;
  padding: 0;
  font-size: var(--t13);
  white-space: normal;
  text-align: left;
}
</style>
