<script setup lang="ts">
import StepsCard from './StepsCard.vue';
import NewBag from './NewBag.vue';
import { ElButton, ElCollapse } from 'element-plus';
import 'element-plus/theme-chalk/el-collapse.css';
import 'element-plus/theme-chalk/el-collapse-item.css';
import type { Shop } from '@ratio/core/shop';
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import BarCard from './BarCard.vue';
import ChecklistsCard from './ChecklistsCard.vue';
import CoffeeRow from './CoffeeRow.vue';
import DefaultsCard from './DefaultsCard.vue';
import FiltersCard from './FiltersCard.vue';
import MillCard from './MillCard.vue';
import RoomsCard from './RoomsCard.vue';
import ShelfLine from './ShelfLine.vue';
import { useShelfEdits } from './useShelfEdits.ts';
import { useShelfLines } from './useShelfLines.ts';
import VesselCard from './VesselCard.vue';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { useSession } from '../sync/index.ts';
import { useKeys } from '../ui/browser/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';

const shop = useShop();
const session = useSession();
const edits = useShelfEdits();
const lines = useShelfLines();
const format = useAmountFormat();
const bagIsOpen = ref(false);
const newBag = (): void => void (bagIsOpen.value = true);
useKeys({ n: newBag });

/** The one thing that is open; the others are a line each. */
const open = ref('');
const VESSELS = [
  { use: 'steep', id: 'vessels', head: 'Vessels to steep in', add: 'Add a vessel' },
  { use: 'jug', id: 'jugs', head: 'Jugs for concentrate', add: 'Add a jug' },
] as const;
async function addVessel(use: 'steep' | 'jug'): Promise<void> {
  open.value = await edits.addVessel(use);
}

/** What leads set; null for others. */
const details = computed(() => (session.can('leads') ? shop.document : null));
function change(change: Partial<Shop>, what: string): void {
  if (details.value) void edits.shop(details.value, change, what);
}
</script>

<template>
  <div class="page">
    <header>
      <h1>Shelf</h1>
      <span class="ways">
        <ElButton type="primary" @click="newBag">A new bag arrived</ElButton>
        <ElButton v-if="details" @click="open = 'mill'">The mill was set again</ElButton>
      </span>
      <p class="soft">
        Every change is saved as it is made, and can be undone. Also on the shelf:
        <RouterLink to="/shelf/ingredients">ingredients</RouterLink>,
        <RouterLink to="/shelf/house-recipes">house recipes</RouterLink>,
        <RouterLink to="/pour/menu">the menu</RouterLink>,
        <RouterLink to="/shelf/instruments">instruments</RouterLink>.
        <template v-if="session.can('leads')">
          For whoever leads: <RouterLink to="/shelf/people">people and tablets</RouterLink>,
          <RouterLink to="/shelf/backups">backups</RouterLink>.
        </template>
      </p>
    </header>
    <section aria-labelledby="coffees">
      <h2 id="coffees" class="section-head">Coffees</h2>
      <ElCollapse v-model="open" accordion>
        <ShelfLine
          v-for="coffee in shop.coffees"
          :id="coffee.id"
          :key="coffee.id"
          :name="coffee.name"
          :says="lines.coffee(coffee)"
        >
          <CoffeeRow
            :may-price="session.can('leads')"
            :format
            :coffee
            :now="shop.now"
            :zone="shop.zone"
            @change="(part, what) => edits.coffee(coffee, part, what)"
          />
        </ShelfLine>
      </ElCollapse>
      <p v-if="shop.coffees.length === 0" class="soft">
        No coffee yet. A bag that arrived is the first.
      </p>
    </section>
    <template v-for="{ use, id, head, add } in VESSELS" :key="use">
      <section :aria-labelledby="id">
        <h2 :id class="section-head with-way">
          {{ head }} <LinkButton @click="addVessel(use)">{{ add }}</LinkButton>
        </h2>
        <ElCollapse v-model="open" accordion>
          <ShelfLine
            v-for="vessel in use === 'steep' ? shop.steepers : shop.jugVessels"
            :id="vessel.id"
            :key="vessel.id"
            :name="vessel.name"
            :says="lines.vessel(vessel)"
          >
            <VesselCard
              :vessel
              :format
              @change="(part, what) => edits.vessel(vessel, part, what)"
            />
          </ShelfLine>
        </ElCollapse>
      </section>
    </template>

    <section v-if="details" aria-labelledby="shop">
      <h2 id="shop" class="section-head">The shop</h2>
      <ElCollapse v-model="open" accordion>
        <ShelfLine id="mill" name="The mill’s dial for each grind" :says="lines.mill(details)">
          <MillCard :mill="details.mill" @change="change" />
        </ShelfLine>
        <ShelfLine id="defaults" name="What a new plan begins with" :says="lines.defaults(details)">
          <DefaultsCard :defaults="details.defaults" @change="change" />
        </ShelfLine>
        <ShelfLine id="steps" name="The steps of a batch" :says="lines.steps(details)">
          <StepsCard :shop="details" @change="change" @photo="edits.stepPhoto" />
        </ShelfLine>
        <ShelfLine
          id="checklists"
          name="Lists of opening and closing"
          :says="lines.checklists(details)"
        >
          <ChecklistsCard :checklists="details.checklists" @change="change" />
        </ShelfLine>
        <ShelfLine id="filters" name="Scoop and filters" :says="lines.filters(details)">
          <FiltersCard :shop="details" :format @change="change" />
        </ShelfLine>
        <ShelfLine id="bar" name="The bar’s tools" :says="lines.bar(details)">
          <BarCard :bar="details.bar" :format @change="(bar, what) => change({ bar }, what)" />
        </ShelfLine>
        <ShelfLine id="rooms" name="Rooms and hours" :says="lines.rooms(details)">
          <RoomsCard :shop="details" :format @change="change" />
        </ShelfLine>
      </ElCollapse>
    </section>

    <NewBag
      v-if="bagIsOpen"
      v-model="bagIsOpen"
      :format
      :coffees="shop.coffees"
      :may-price="session.can('leads')"
      :now="shop.now"
      :zone="shop.zone"
      @again="(coffee, bag) => edits.coffee(coffee, bag, 'a new bag')"
      @fresh="edits.addCoffee"
    />
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 22px;
}

header {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 24px;
  align-items: end;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  grid-row: 1 / span 2;
  grid-column: 2;
  gap: 12px;
}

.ways .el-button {
  margin: 0;
}

.with-way {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
}

.page :deep(.el-collapse-item__header) {
  height: auto;
  min-height: 48px;
}

.page :deep(.el-collapse-item__content) {
  padding: 4px 0 18px;
}

@media (max-width: 900px) {
  header {
    grid-template-columns: minmax(0, 1fr);
  }

  .ways {
    grid-row: auto;
    grid-column: 1;
    padding-block: 10px 12px;
  }
}
</style>
