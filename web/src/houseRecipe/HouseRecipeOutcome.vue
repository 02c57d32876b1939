<script setup lang="ts">
import { amountParts, percentFigure } from '@ratio/core/units';
import { densityGPerMl, energyKcal } from '@ratio/core/matter';
import type { HouseRecipe, MadeRecipe } from '@ratio/core/pantry';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import HouseRecipeScale from './HouseRecipeScale.vue';
import { dateName, type AmountFormat } from '../format/index.ts';
import { BigFigure, CautionList, OpenState } from '../ui/figures/index.ts';

/** What a recipe gives, what it costs and keeps, and how much of it to make. */
const props = defineProps<{
  recipe: HouseRecipe;
  made: MadeRecipe;
  need: { needG: number; factor: number } | null;
  goesInto: readonly string[];
  /** How what was made last is doing; null where none is. */
  life: { at: Date; lastDay: string; daysLeft: number } | null;
  /** The last day of what is made now, as 2026-06-19. */
  useBy: string;
  zone: string;
  format: AmountFormat;
}>();
const emit = defineEmits<{ scale: [factor: number, what: string]; open: []; usedUp: [] }>();

const per100 = computed(() => {
  const { per100G } = props.made.ingredient;
  return {
    kcal: energyKcal(per100G).toFixed(0),
    sugarG: per100G.sugarG.toFixed(1),
    fatG: per100G.fatG.toFixed(1),
    gPerMl: densityGPerMl({ composition: per100G, tempC: 20 }).toFixed(3),
  };
});
</script>

<template>
  <section class="outcome" aria-label="What it gives" aria-live="polite">
    <BigFigure label="It gives" v-bind="amountParts(format.volume(made.yieldMl))">
      <template #also>
        <span class="soft also"
          >{{ format.mass(made.yieldG) }}<br />
          <template v-if="made.lostG > 0.5"
            >{{ format.mass(made.lostG) }} less than went in</template
          >
          <template v-else-if="made.ingredient.overrunFrac > 0"
            >{{ format.mass(made.yieldG) }} before whipping, too</template
          ></span
        >
      </template>
    </BigFigure>
    <div class="facts">
      <BigFigure
        v-if="made.sugarFrac > 0.005"
        label="Sugar"
        size="small"
        :figure="percentFigure(made.sugarFrac, 1)"
        unit="%"
      />
      <BigFigure
        v-if="made.strengthFrac > 0"
        label="Coffee strength"
        size="small"
        :figure="percentFigure(made.strengthFrac)"
        unit="%"
      />
      <BigFigure
        label="Cost"
        size="small"
        :figure="made.price === null ? '–' : format.money(made.price)"
        :unit="
          made.price === null
            ? 'a price is missing'
            : `${format.money((format.vesselUnitMl * made.price) / made.yieldMl)} per ${format.pricedVolume}`
        "
      />
      <BigFigure
        label="Keeps"
        size="small"
        :figure="String(made.lifeDays)"
        :unit="`day${made.lifeDays === 1 ? '' : 's'}, to ${dateName(useBy)} if made now`"
      />
    </div>
    <p class="fine">
      100 g: {{ per100.kcal }} kcal, {{ per100.sugarG }} g sugar, {{ per100.fatG }} g fat;
      {{ per100.gPerMl }} g/mL{{ made.ingredient.overrunFrac > 0 ? ' before whipping' : '' }}.
      <strong>Contains</strong>
      {{ made.ingredient.allergens.join(', ') || 'none of the listed allergens' }}.
    </p>
    <p class="fine">
      <strong>Goes into</strong> {{ goesInto.join(', ') || 'nothing on the menu yet' }}.
    </p>
    <div class="made no-print">
      <strong>On hand</strong>
      <OpenState
        :name="recipe.name"
        :life
        :zone
        opening="Made today"
        @open="emit('open')"
        @used-up="emit('usedUp')"
      />
      <RouterLink :to="`/label?recipe=${recipe.id}`">Its label</RouterLink>
    </div>
    <HouseRecipeScale
      :recipe
      :made
      :need
      :format
      @scale="(factor, what) => emit('scale', factor, what)"
    />
    <CautionList :cautions="made.cautions" :format />
  </section>
</template>

<style scoped>
.outcome {
  display: grid;
  align-content: start;
  gap: 12px;
  border-left: 1px solid var(--hairline);
  background: var(--panel);
  padding: 14px 24px;
}

.also {
  display: inline-block;
  font-size: var(--t13);
  font-weight: 400;
}

.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
}

.fine {
  font-size: var(--t13);
}

.made {
  display: flex;
  align-items: center;
  gap: 12px;
  font-size: var(--t13);
}

.made a {
  margin-left: auto;
}
</style>
