<script setup lang="ts">
import type { Jug } from '@ratio/core/jug';
import { coffeeOf } from '@ratio/core/matter';
import { percentText } from '@ratio/core/units';
import { computed } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { onHandMl, useBatches, useJugs } from '../events/index.ts';
import { READ_BY, clockTime, cssColour, dayName, fromNow } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { useSession } from '../sync/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { JugDrawing } from '../ui/drawings/index.ts';
import { ToBatches } from '../ui/figures/index.ts';

const DAY_MS = 86_400_000;

const shop = useShop();
const jugs = useJugs();
const batches = useBatches();
const session = useSession();
const format = useAmountFormat();
const router = useRouter();

const rows = computed(() =>
  jugs.onHand.map((jug) => {
    const useBy = new Date(jug.useBy);
    const leftMs = useBy.getTime() - shop.now.getTime();
    return {
      jug,
      level: format.value.volume(onHandMl(jug)),
      colour: cssColour(coffeeOf({ massG: 1, strengthFrac: jug.strengthFrac })),
      made: clockTime({ at: new Date(jug.madeAt), zone: shop.zone }),
      useBy: dayName({ at: useBy, zone: shop.zone }),
      left: fromNow({ at: useBy, now: shop.now }),
      state: leftMs < 0 ? 'past its date: discard it' : leftMs < DAY_MS ? 'use it first' : 'keeps',
      due: leftMs < DAY_MS,
    };
  }),
);

async function pourFrom(jug: Jug): Promise<void> {
  jugs.choose(jug.id);
  await router.push('/pour');
}
</script>

<template>
  <div class="page">
    <h1>Concentrate on hand</h1>
    <p class="soft">
      Oldest first. Keep it at 5 °C (41 °F) or below, covered and labelled; the local food code
      decides.
    </p>
    <p v-if="session.can('brews')" class="no-print">
      <RouterLink to="/jugs/new">Note a jug that was made elsewhere</RouterLink>
    </p>
    <ul v-if="rows.length > 0">
      <template v-for="{ jug, ...row } in rows" :key="jug.id">
        <li>
          <JugDrawing
            :capacity-ml="jug.capacityMl"
            :on-hand-ml="onHandMl(jug)"
            :colour="row.colour"
            :per-unit-ml="format.vesselUnitMl"
            :text="`${row.level} in ${jug.label}`"
          />
          <div class="name-of">
            <h2 class="name">{{ jug.label }}</h2>
            <p v-if="jug.coffeeName !== ''">{{ jug.coffeeName }}</p>
            <p class="soft">made {{ row.made }}</p>
          </div>
          <p class="number">
            <span class="figures">{{ percentText(jug.strengthFrac) }}</span>
            <span class="soft note">{{ READ_BY[jug.readBy] }}</span>
          </p>
          <p class="number">
            <span class="figures">{{ row.level }}</span>
            <span class="soft note">on hand</span>
          </p>
          <p class="until">
            use by <strong>{{ row.useBy }}</strong><br />
            <span :class="row.due ? 'due' : 'resting'"
              ><strong>{{ row.state }}</strong
              >, {{ row.left }}</span
            >
          </p>
          <div class="do">
            <LinkButton @click="pourFrom(jug)">Pour from it</LinkButton>
            <RouterLink :to="`/jugs/${jug.id}`">Read, thin, blend</RouterLink>
          </div>
        </li>
      </template>
    </ul>
    <div v-else class="empty">
      <h2>No jug holds concentrate</h2>
      <p>A jug appears here when a batch is strained into it, or when somebody notes one.</p>
      <p><ToBatches :steeping="batches.steeping.length > 0" /></p>
    </div>
  </div>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 168px) 1.3fr 1fr 1fr 1.5fr auto;
  align-items: center;
  gap: 24px;
  margin-top: 14px;
  padding: 14px 20px;
  border: 1px solid var(--hairline);
  background: var(--panel);
}

.name {
  color: var(--ink);
  font-size: var(--t24);
}

.number .figures {
  font-size: var(--t24);
}

.note {
  display: block;
  font-size: var(--t13);
}

.do {
  display: grid;
  gap: 8px;
  justify-items: start;
  font-size: var(--t13);
}

@media (max-width: 900px) {
  li {
    grid-template-columns: minmax(0, 168px) repeat(2, minmax(0, 1fr));
    gap: 12px 20px;
  }

  li > svg {
    grid-row: 1 / 3;
  }

  .name-of,
  .until,
  .do {
    grid-column: 2 / -1;
  }

  .do {
    display: flex;
    align-items: center;
    gap: 20px;
  }
}

@media (max-width: 560px) {
  li {
    grid-template-columns: 168px minmax(0, 1fr);
    gap: 6px 12px;
    padding: 14px 12px;
  }

  li > svg {
    grid-row: 1 / 4;
  }

  .name-of,
  .number {
    grid-column: 2;
  }

  .number .note {
    display: inline;
    padding-left: 6px;
  }

  .number .figures {
    font-size: var(--t18);
  }

  .until,
  .do {
    grid-column: 1 / -1;
  }
}
</style>
