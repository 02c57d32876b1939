<script setup lang="ts">
import { ElButton } from 'element-plus';
import { useSession } from '../../stores/session.ts';
import { useShop } from '../../stores/shop.ts';
import { RouterLink } from 'vue-router';
import { useAmountFormat } from '../../composables/useAmountFormat.ts';
import BarCard from './BarCard.vue';
import CoffeeRow from './CoffeeRow.vue';
import ShopCard from './ShopCard.vue';
import { useShelfEdits } from './useShelfEdits.ts';
import VesselCard from './VesselCard.vue';

const shelf = useShop();
const session = useSession();
const edits = useShelfEdits();
const format = useAmountFormat();
const SHELVES = [
  { use: 'steep', id: 'vessels', head: 'Vessels to steep in, to one scale', add: 'Add a vessel' },
  { use: 'jug', id: 'jugs', head: 'Jugs for concentrate, to one scale', add: 'Add a jug' },
] as const;
</script>

<template>
  <div class="page">
    <h1>Shelf</h1>
    <p class="soft">
      Every change is saved as it is made, and can be undone. Also on the shelf:
      <RouterLink to="/shelf/ingredients">ingredients</RouterLink>,
      <RouterLink to="/shelf/house-recipes">house recipes</RouterLink>,
      <RouterLink to="/pour/menu">the menu</RouterLink>.
      <template v-if="session.can('leads')">
        For whoever leads: <RouterLink to="/shelf/people">people and tablets</RouterLink>,
        <RouterLink to="/shelf/backups">backups</RouterLink>.
      </template>
    </p>
    <section aria-labelledby="coffees">
      <h2 id="coffees" class="head">Coffees</h2>
      <ul>
        <CoffeeRow
          v-for="coffee in shelf.coffees"
          :key="coffee.id"
          :may-price="session.can('leads')"
          :coffee
          :now="shelf.now"
          :zone="shelf.zone"
          @change="(change, what) => edits.coffee(coffee, change, what)"
        />
      </ul>
      <ElButton @click="edits.addCoffee">Put another coffee on the shelf</ElButton>
    </section>
    <section v-for="{ use, id, head, add } in SHELVES" :key="use" :aria-labelledby="id">
      <h2 :id class="head">{{ head }}</h2>
      <ul class="vessels">
        <VesselCard
          v-for="vessel in use === 'steep' ? shelf.steepers : shelf.jugVessels"
          :key="vessel.id"
          :vessel
          :format
          @change="(change, what) => edits.vessel(vessel, change, what)"
        />
      </ul>
      <ElButton @click="edits.addVessel(use)">{{ add }}</ElButton>
    </section>
    <BarCard
      v-if="shelf.shop && session.can('leads')"
      :bar="shelf.shop.bar"
      :format
      @change="(bar, what) => shelf.shop && edits.shop(shelf.shop, { bar }, what)"
    />
    <ShopCard
      v-if="shelf.shop && session.can('leads')"
      :shop="shelf.shop"
      :format
      @change="(change, what) => shelf.shop && edits.shop(shelf.shop, change, what)"
    />
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 28px;
  max-width: 1240px;
  padding: 24px;
}

.page > p {
  margin-top: -24px;
}

.head {
  padding-bottom: 6px;
  border-bottom: 1px solid var(--ink);
  color: var(--ink);
  font-size: var(--t18);
}

section > .el-button {
  margin-top: 12px;
}

.vessels {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 20px;
  padding-top: 12px;
}
</style>
