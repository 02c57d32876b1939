<script setup lang="ts">
import { percentText, percentFigure } from '@ratio/core/units';
import type { Drink, DrinkSolution } from '@ratio/core/drink';
import type { Jug } from '@ratio/core/jug';
import { ElButton } from 'element-plus';
import { RouterLink } from 'vue-router';
import IceToday from './IceToday.vue';
import StrengthRung from './StrengthRung.vue';
import { STRENGTH, jugOption, listText, type AmountFormat } from '../format/index.ts';
import { ListedButton } from '../ui/buttons/index.ts';
import { AmountRow, ChoiceField } from '../ui/fields/index.ts';

interface MenuRow {
  readonly drink: Pick<Drink, 'id' | 'name'>;
  readonly solution: Pick<DrinkSolution, 'status' | 'strengthFrac' | 'needsStrengthFrac'>;
  readonly wantedFrac: number;
}

/** The menu as a ladder of strengths from one jug, and what is out of its reach. */
defineProps<{
  rows: readonly MenuRow[];
  /** Whether whoever stands here may put drinks on the menu. */
  mayAdd: boolean;
  /** Empty while a new drink is in hand. */
  chosenId: string;
  jug: Jug;
  jugs: readonly Jug[];
  /** Whether the jug is only assumed: somebody says about how strong it is. */
  assumed: boolean;
  /** How many drinks of the usual menu nobody has kept yet. */
  usual: number;
  /** What is in a jug, in the shop's units. */
  writeJug: (jug: Jug) => string;
  /** How cold all ice is today, °C; null where it is as each drink has it. */
  iceTodayC: number | null;
  format: AmountFormat;
}>();
const emit = defineEmits<{
  choose: [drinkId: string];
  jug: [jugId: string];
  ice: [tempC: number | null];
  add: [];
  about: [strengthFrac: number];
  keepUsual: [];
}>();

function trouble({ solution }: MenuRow): string {
  switch (solution.status) {
    case 'met':
      return '';
    case 'no_room':
      return 'no room for what is asked';
    case 'too_weak':
      return solution.needsStrengthFrac === null
        ? 'out of reach in this glass'
        : `short: needs a ${percentText(solution.needsStrengthFrac)} jug`;
  }
}
</script>

<template>
  <section class="ladder" aria-label="The menu from this jug">
    <h2 class="visually-hidden">From the jug</h2>
    <ChoiceField
      v-if="!(assumed && jugs.length === 1)"
      label="Jug"
      :model-value="jug.id"
      :options="jugs.map((one) => jugOption(one, writeJug(one), format))"
      @update:model-value="emit('jug', $event)"
    />
    <template v-if="assumed">
      <AmountRow
        class="about"
        label="A concentrate of about"
        name="Strength of the concentrate"
        :value="jug.strengthFrac"
        :kind="STRENGTH"
        @change="emit('about', $event)"
      />
      <p class="soft fine">
        Assumed: 1 to 5, overnight. <RouterLink to="/jugs/new">Note the real jug</RouterLink>
      </p>
    </template>
    <p v-else class="soft fine">{{ listText([jug.coffeeName, writeJug(jug)], ' · ') }}</p>
    <IceToday class="ice" :temp-c="iceTodayC" :format @change="emit('ice', $event)" />
    <div class="more">
      <ElButton v-if="mayAdd" @click="emit('add')">New drink</ElButton>
      <RouterLink to="/pour/quick">Quick sum</RouterLink>
      <RouterLink to="/pour/menu">Menu</RouterLink>
    </div>
    <div v-if="usual > 0" class="usual">
      <p class="soft fine">Usual glasses to begin with.</p>
      <ElButton link type="primary" @click="emit('keepUsual')"
        >Keep {{ usual === 1 ? 'it' : `these ${usual}` }}</ElButton
      >
    </div>
    <ul>
      <li v-for="row in rows" :key="row.drink.id">
        <ListedButton :chosen="row.drink.id === chosenId" @click="emit('choose', row.drink.id)">
          <span class="top">
            <span>{{ row.drink.name }}</span>
            <span class="figures">{{ percentFigure(row.solution.strengthFrac) }}</span>
          </span>
          <StrengthRung
            :wanted-frac="row.wantedFrac"
            :reached-frac="row.solution.strengthFrac"
            :short="row.solution.status !== 'met'"
          />
          <span v-if="trouble(row)" class="due trouble">{{ trouble(row) }}</span>
        </ListedButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.ladder {
  padding: 10px 10px 12px;
}

.fine,
.ladder > :deep(.el-select),
.ladder > :deep(.chosen) {
  padding-inline: 10px;
}

.fine {
  font-size: var(--t13);
}

.about {
  padding-inline: 10px;
}

.usual {
  display: flex;
  align-items: center;
  justify-content: space-between;
}

.usual :deep(.el-button) {
  min-height: 32px;
  padding: 0 10px;
}

.ice {
  margin-bottom: 6px;
}

.ice :deep(.el-select__wrapper),
.ice :deep(.el-select__selected-item),
.ice.chosen {
  min-height: 26px;
  line-height: 26px;
  font-size: var(--t13);
  font-weight: 400;
}

.top {
  display: flex;
  justify-content: space-between;
  gap: 8px;
}

.top > :first-child {
  overflow-wrap: anywhere;
}

.more a {
  white-space: nowrap;
}

.more {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  padding: 0 10px 6px;
  font-size: var(--t13);
}

.more .el-button {
  min-height: 36px;
  padding-inline: 12px;
  font-size: var(--t13);
}

@media (max-width: 900px) {
  .more {
    gap: 6px;
    padding-right: 0;
  }

  .more .el-button {
    padding-inline: 7px;
  }
}

.trouble {
  display: block;
  font-size: var(--t13);
  font-weight: 500;
}
</style>
