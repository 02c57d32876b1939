<script setup lang="ts">
import { useStores } from '../../stores/useStores.ts';
import type { Batch } from '@ratio/core/batch';
import { percentFigure, percentText } from '@ratio/core/units';
import { ref } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { newId, sentenceOf } from '../../api/client.ts';
import { useAmountFormat } from '../../composables/useAmountFormat.ts';
import { clockTime, dayName, fromNow } from '../../format/formatClock.ts';
import StrainForm from './StrainForm.vue';

const { shelf, batches, jugs, notice } = useStores();
const format = useAmountFormat();
const router = useRouter();
const busy = ref(false);

const at = (instant: string): string => clockTime({ at: new Date(instant), zone: shelf.zone });
const when = (instant: string): string => fromNow({ at: new Date(instant), now: shelf.now });
const isDue = ({ endsAt }: Batch): boolean => Date.parse(endsAt) <= shelf.now.getTime();

function passedFrac({ startedAt, endsAt }: Batch): number {
  const [from, to] = [Date.parse(startedAt), Date.parse(endsAt)];
  return Math.min(1, Math.max(0, (shelf.now.getTime() - from) / (to - from)));
}

async function strain(
  batch: Batch,
  actual: { brewG: number; strengthFrac: number | null },
): Promise<void> {
  busy.value = true;
  try {
    const { brewG, strengthFrac } = actual;
    const reading = strengthFrac === null ? {} : { strengthFrac };
    await batches.strain(batch, { jugId: newId(), brewG, ...reading });
    await jugs.load();
    notice.say({
      tone: 'done',
      text: `${batch.coffeeName} is in a jug: ${format.value.mass(brewG)}.`,
    });
    await router.push('/jugs');
  } catch (error) {
    notice.say({ tone: 'wrong', text: sentenceOf(error) });
    await batches.load().catch(() => undefined);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <div class="page">
    <h1>Steeping</h1>
    <ul v-if="batches.steeping.length > 0">
      <li v-for="batch in batches.steeping" :key="batch.id" class="batch">
        <div class="what">
          <h2 class="name">{{ batch.coffeeName }}</h2>
          <p class="soft">
            {{ batch.vesselName }} · {{ format.mass(batch.plan.doseG) }} and
            {{ format.mass(batch.plan.waterG) }}, 1:{{
              (batch.plan.waterG / batch.plan.doseG).toFixed(1)
            }}
            · {{ batch.plan.grind }}
          </p>
        </div>
        <p class="end" :class="{ due: isDue(batch) }">
          <span class="soft">{{ isDue(batch) ? 'strain now, since' : 'strain' }}</span>
          <strong class="figures">{{ at(batch.endsAt) }}</strong>
          <span class="soft">{{ when(batch.endsAt) }}</span>
        </p>
        <div
          class="progress"
          role="img"
          :aria-label="`${Math.round(100 * passedFrac(batch))} % of the steep has passed`"
        >
          <span :style="{ width: `${100 * passedFrac(batch)}%` }" />
        </div>
        <p class="ends soft">
          <span>{{ at(batch.startedAt) }}</span>
          <span>
            expects {{ format.volume(batch.predicted.brewMl) }} at
            <strong class="figures">{{ percentText(batch.predicted.strengthFrac) }}</strong> ({{
              percentFigure(batch.predicted.strengthLowFrac)
            }}
            to {{ percentFigure(batch.predicted.strengthHighFrac) }})
          </span>
          <span>{{ at(batch.endsAt) }}</span>
        </p>
        <StrainForm :batch :format :busy :due="isDue(batch)" @strain="strain(batch, $event)" />
      </li>
    </ul>
    <div v-else class="empty">
      <h2>Nothing is steeping</h2>
      <p>A running batch stands here with its clock until it is strained.</p>
      <p><RouterLink to="/plan">Plan a batch</RouterLink></p>
    </div>
    <template v-if="batches.strained.length > 0">
      <h2 class="before">Strained before</h2>
      <ul>
        <li v-for="batch in batches.strained" :key="batch.id" class="past">
          <span>{{ batch.coffeeName }}</span>
          <span class="soft"
            >{{ batch.vesselName }}, {{ format.mass(batch.plan.doseG) }}, 1:{{
              (batch.plan.waterG / batch.plan.doseG).toFixed(1)
            }}</span
          >
          <span class="soft">{{
            batch.strainedAt ? dayName({ at: new Date(batch.strainedAt), zone: shelf.zone }) : ''
          }}</span>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.page {
  max-width: 1080px;
  padding: 24px;
}

.batch {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px 24px;
  margin-top: 16px;
  padding: 18px 20px;
  border: 1px solid var(--hairline);
  background: var(--panel);
}

.name {
  color: var(--ink);
  font-size: var(--t24);
}

.end {
  display: flex;
  align-items: baseline;
  gap: 10px;
}

.end strong {
  font-size: var(--t40);
  font-weight: 500;
  line-height: 1;
}

.progress,
.ends,
.strain {
  grid-column: 1 / -1;
}

.progress {
  height: 14px;
  border: 1px solid var(--ink);
}

.progress span {
  display: block;
  height: 100%;
  background: var(--resting);
}

.ends {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  font-size: var(--t13);
}

.before {
  margin-top: 36px;
}

.past {
  display: grid;
  grid-template-columns: 1.4fr 2fr auto;
  gap: 16px;
  padding: 10px 0;
  border-bottom: 1px solid var(--hairline);
}

@media (max-width: 700px) {
  .batch {
    grid-template-columns: 1fr;
  }

  .end {
    flex-wrap: wrap;
  }

  .ends {
    flex-wrap: wrap;
  }
}
</style>
