<script setup lang="ts">
import StrainForm from './StrainForm.vue';
import { vesselNameOf, type Batch } from '@ratio/core/batch';
import { percentFigure, percentText } from '@ratio/core/units';
import { ElButton, ElProgress } from 'element-plus';
import 'element-plus/theme-chalk/el-progress.css';
import { computed, onMounted, ref } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { useNextSteps } from './useNextSteps.ts';
import { useStanding } from './useStanding.ts';
import { useStrain } from './useStrain.ts';
import { useBatches, useJugs } from '../events/index.ts';
import { clockTime, dayName, fromNow } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { StandingVessel } from '../ui/drawings/index.ts';

const shop = useShop();
const batches = useBatches();
const jugs = useJugs();
const router = useRouter();

/** One batch is open for its strain, the rest are a line each: the one picked, or the next one. */
const pickedId = ref<string | null>(null);
const open = computed<Batch>(
  () => batches.steeping.find(({ id }) => id === pickedId.value) ?? batches.steeping[0]!,
);
const strain = useStrain(open);
const standing = useStanding();
const format = useAmountFormat();

/** So many that were strained stand here; the log has them all. */
const MOST_BEFORE = 12;
const at = (instant: string): string => clockTime({ at: new Date(instant), zone: shop.zone });
const when = (instant: string): string => fromNow({ at: new Date(instant), now: shop.now });
const isDue = ({ endsAt }: Batch): boolean => Date.parse(endsAt) <= shop.now.getTime();
const onGrounds = ({ id }: Batch) => jugs.onHand.find((jug) => jug.onGrounds && jug.batchId === id);

function passedFrac({ startedAt, endsAt }: Batch): number {
  const [from, to] = [Date.parse(startedAt), Date.parse(endsAt)];
  return Math.min(1, Math.max(0, (shop.now.getTime() - from) / (to - from)));
}
/** What is next at each, by what was noted of it. */
const nextOf = useNextSteps();
onMounted(() => {
  void batches.loadRunning().catch(() => undefined);
});
async function strainIt(): Promise<void> {
  if (await strain.strain()) await router.push('/jugs');
}
</script>

<template>
  <div class="page">
    <h1>Steeping</h1>
    <ul v-if="batches.steeping.length > 0">
      <template v-for="batch in batches.steeping" :key="batch.id">
        <li class="batch">
          <StandingVessel class="drawn" v-bind="standing.get(batch.id)!.drawn" />
          <div class="what">
            <h2 class="name">{{ batch.coffeeName }}</h2>
            <p class="soft">
              {{ vesselNameOf(batch) }} · {{ format.mass(batch.plan.doseG) }} and
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
          <div class="next">
            <p>
              <span class="soft">next</span>
              <strong>{{ nextOf.get(batch.id)?.text }}</strong>
              <span class="soft">{{ nextOf.get(batch.id)?.when }}</span>
            </p>
            <ElButton type="primary" @click="router.push(`/steep/${batch.id}`)"
              >At the bench</ElButton
            >
          </div>
          <ElProgress
            class="progress"
            aria-label="How much of the steep has passed"
            :percentage="Math.round(100 * passedFrac(batch))"
            :stroke-width="14"
            :show-text="false"
            color="var(--resting)"
          />
          <p class="ends soft">
            <span>{{ at(batch.startedAt) }}</span>
            <span class="expects">
              {{ standing.get(batch.id)!.strength }} by now; expects
              {{ format.volume(batch.predicted.brewMl) }} at
              <strong>{{ percentText(batch.predicted.strengthFrac) }}</strong> ({{
                percentFigure(batch.predicted.strengthLowFrac)
              }}
              to {{ percentFigure(batch.predicted.strengthHighFrac) }})
            </span>
            <span>{{ at(batch.endsAt) }}</span>
          </p>
          <p v-if="!batches.isUnsent(batch.id)" class="beside no-print">
            <RouterLink :to="`/label?batch=${batch.id}`">Its label</RouterLink>
            <a :href="`/api/batches/${batch.id}/calendar.ics`" download>Into a calendar</a>
          </p>
          <p v-if="onGrounds(batch)" class="whole">
            Left on its grounds it can be poured from:
            <strong class="figures">{{ percentText(onGrounds(batch)!.strengthFrac) }}</strong> now.
            <RouterLink to="/pour" @click="jugs.choose(onGrounds(batch)!.id)"
              >Pour from it</RouterLink
            >
          </p>
          <p v-if="batches.isUnsent(batch.id)" class="soft whole">
            Kept on this tablet until the server is back.
          </p>
          <StrainForm
            v-if="batch.id === open.id"
            class="whole"
            v-bind="strain.form.value"
            :due="isDue(batch)"
            @change="strain.change"
            @fill="strain.setFill"
            @add="strain.addFill"
            @drop="strain.dropFill"
            @strain="strainIt"
          />
          <ElButton v-else class="whole open" @click="pickedId = batch.id">Strain it</ElButton>
        </li>
      </template>
    </ul>
    <div v-else class="empty">
      <h2>Nothing is steeping</h2>
      <p>A running batch stands here with its clock until it is strained.</p>
      <p><RouterLink to="/plan">Plan a batch</RouterLink></p>
    </div>
    <template v-if="batches.past.length > 0">
      <h2 class="before">
        Before <RouterLink to="/log" class="all">all of them in the log</RouterLink>
      </h2>
      <ul>
        <li v-for="batch in batches.past.slice(0, MOST_BEFORE)" :key="batch.id" class="past">
          <RouterLink :to="`/steep/${batch.id}`">{{ batch.coffeeName }}</RouterLink>
          <span v-if="batch.abandonedFor !== null" class="soft"
            >{{ vesselNameOf(batch) }}, given up: {{ batch.abandonedFor }}</span
          >
          <span v-else class="soft"
            >{{ vesselNameOf(batch) }}, {{ format.mass(batch.plan.doseG) }}, 1:{{
              (batch.plan.waterG / batch.plan.doseG).toFixed(1)
            }}</span
          >
          <span class="figures"
            >{{ batch.strengthFrac === null ? '' : percentText(batch.strengthFrac) }}
            <span class="soft">{{
              batch.strengthBy === 'reading' ? 'read' : batch.strengthBy === null ? '' : 'predicted'
            }}</span></span
          >
          <span class="soft">{{
            batch.strainedAt ? dayName({ at: new Date(batch.strainedAt), zone: shop.zone }) : ''
          }}</span>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.batch {
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr) auto;
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

.next {
  display: flex;
  grid-column: 2 / -1;
  align-items: center;
  justify-content: space-between;
  gap: 8px 20px;
}

.next p {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 10px;
}

.next strong {
  font-size: var(--t18);
}

.drawn {
  grid-row: 1 / span 7;
  align-self: start;
}

.progress,
.ends,
.beside,
.whole {
  grid-column: 2 / -1;
}

.beside {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  font-size: var(--t13);
}

.open {
  justify-self: start;
}

.progress {
  --el-border-color-lighter: var(--hairline);
  --el-fill-color-light: var(--hairline);
}

.progress :deep(.el-progress-bar__outer),
.progress :deep(.el-progress-bar__inner) {
  border-radius: 2px;
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

.all {
  margin-left: 12px;
  font-weight: 400;
}

.past {
  display: grid;
  grid-template-columns: 1.4fr 2fr 1fr auto;
  gap: 16px;
  padding: 10px 0;
  border-bottom: 1px solid var(--hairline);
}

@media (max-width: 900px) {
  .batch {
    grid-template-columns: 210px minmax(0, 1fr);
  }

  .drawn {
    grid-row: 1 / span 3;
    align-self: end;
  }

  .progress,
  .ends,
  .beside,
  .whole {
    grid-column: 1 / -1;
  }
}

@media (max-width: 700px) {
  .batch {
    grid-template-columns: minmax(0, 1fr);
  }

  .drawn {
    display: none;
  }

  .next {
    grid-column: 1;
  }

  .past {
    grid-template-columns: 1fr auto;
    gap: 2px 16px;
  }

  /* The coffee and its day, then what it was and what came out. */
  .past > :last-child {
    order: -1;
  }

  .past > a {
    order: -2;
  }

  .end,
  .ends {
    flex-wrap: wrap;
  }

  .expects {
    flex-basis: 100%;
    order: 1;
  }
}
</style>
