<script setup lang="ts">
import { ElButton, ElSwitch } from 'element-plus';
import 'element-plus/theme-chalk/el-switch.css';
import { RouterLink } from 'vue-router';
import { useCalls } from './calls.ts';
import { useCalendarFeed } from './useCalendarFeed.ts';
import { QrCode } from '../ui/drawings/index.ts';

/** Where calendars read the steeps, and how this tablet calls somebody. */
const calls = useCalls();
const { feeds, isLead, renew } = useCalendarFeed();
</script>

<template>
  <div class="page narrow calendar">
    <h1>Calendar and calls</h1>
    <p class="no-print"><RouterLink to="/bench">The day</RouterLink></p>
    <section aria-labelledby="calls">
      <h2 id="calls" class="section-head">When something is due, this tablet</h2>
      <p class="switch">
        <ElSwitch
          :model-value="calls.sound"
          aria-label="Sounds two quiet notes"
          @change="calls.setSound($event === true)"
        />
        sounds two quiet notes
      </p>
      <p class="switch">
        <ElSwitch
          :model-value="calls.notification"
          :disabled="!calls.canNotify"
          aria-label="Shows a notification"
          @change="calls.setNotification($event === true)"
        />
        shows a notification
        <span v-if="!calls.canNotify" class="soft"
          >Browsers allow notifications only over https, or on the machine itself.</span
        >
      </p>
      <p v-if="calls.refusal !== ''" class="due" role="alert">{{ calls.refusal }}</p>
      <p class="soft">The page’s title and icon count what is due all the same.</p>
    </section>
    <section aria-labelledby="feed">
      <h2 id="feed" class="section-head">A calendar of all steeps</h2>
      <template v-if="isLead">
        <template v-if="feeds.length > 0">
          <p>
            Subscribe to this address in a calendar on the shop’s network. Anyone who has it sees
            every steep. When somebody leaves, make a new one.
          </p>
          <div v-for="feed in feeds" :key="feed" class="feed">
            <code>{{ feed }}</code>
            <QrCode :text="feed" />
          </div>
          <ElButton @click="renew">Give it a new address</ElButton>
        </template>
        <template v-else>
          <p>Every steep with its stirs, its strain and its last day, each ten minutes ahead.</p>
          <ElButton type="primary" @click="renew">Give it an address</ElButton>
        </template>
      </template>
      <p v-else class="soft">
        Somebody who leads makes the address. Each batch has a calendar file of its own.
      </p>
    </section>
  </div>
</template>

<style scoped>
.calendar {
  display: grid;
  gap: 24px;
}

section {
  display: grid;
  gap: 12px;
  justify-items: start;
}

.section-head {
  width: 100%;
}

.switch {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}

.feed {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 132px;
  gap: 16px;
  align-items: start;
  width: 100%;
}

code {
  font-family: var(--figures);
  font-size: var(--t13);
  overflow-wrap: anywhere;
  user-select: all;
}
</style>
