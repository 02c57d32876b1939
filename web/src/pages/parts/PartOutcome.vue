<script setup lang="ts">
import { densityGPerMl, energyKcal, type HousePart, type MadePart } from '@ratio/core';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { dateName } from '../../clock/formatClock.ts';
import BigFigure from '../../figure/BigFigure.vue';
import CautionList from '../../figure/CautionList.vue';
import OpenState from '../../figure/OpenState.vue';
import { useOpened } from '../../stores/useOpened.ts';
import type { useWords } from '../../stores/useWords.ts';
import PartScale from './PartScale.vue';

/** What a recipe gives, what it costs and keeps, and how much of it to make. */
const props = defineProps<{
  part: HousePart;
  made: MadePart;
  need: { needG: number; factor: number } | null;
  goesInto: readonly string[];
  words: ReturnType<typeof useWords>;
}>();
const emit = defineEmits<{ scale: [factor: number, what: string] }>();

const { words } = props;
const open = useOpened();
const useBy = computed(() => dateName(open.lastDayOf(props.made.lifeDays)));
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
    <BigFigure
      label="It gives"
      :figure="words.volume(made.yieldMl).split('\u2009')[0]!"
      :unit="words.volume(made.yieldMl).split('\u2009')[1]!"
    >
      <template #beside>
        <span class="soft beside"
          >{{ words.mass(made.yieldG) }}<br />
          <template v-if="made.lostG > 0.5"
            >{{ words.mass(made.lostG) }} less than went in</template
          >
          <template v-else-if="made.ingredient.overrunFrac > 0"
            >{{ words.mass(made.yieldG) }} before whipping, too</template
          ></span
        >
      </template>
    </BigFigure>
    <div class="facts">
      <BigFigure
        v-if="made.sugarFrac > 0.005"
        label="Sugar"
        size="small"
        :figure="(100 * made.sugarFrac).toFixed(1)"
        unit="%"
      />
      <BigFigure
        v-if="made.strengthFrac > 0"
        label="Coffee strength"
        size="small"
        :figure="(100 * made.strengthFrac).toFixed(2)"
        unit="%"
      />
      <BigFigure
        label="Cost"
        size="small"
        :figure="made.price === null ? '–' : words.money(made.price)"
        :unit="
          made.price === null
            ? 'a price is missing'
            : `${words.money((1000 * made.price) / made.yieldMl)} a litre`
        "
      />
      <BigFigure
        label="Keeps"
        size="small"
        :figure="String(made.lifeDays)"
        :unit="`day${made.lifeDays === 1 ? '' : 's'}, to ${useBy} if made now`"
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
        :name="part.name"
        :life="open.lifeOf(part.id)"
        :zone="open.zone.value"
        opening="Made today"
        @open="open.start(made.ingredient)"
        @used-up="open.useUp(made.ingredient)"
      />
      <RouterLink :to="`/label?part=${part.id}`">Its label</RouterLink>
    </div>
    <PartScale
      :part="part"
      :made="made"
      :need="need"
      :words="words"
      @scale="(factor, what) => emit('scale', factor, what)"
    />
    <CautionList :cautions="made.cautions" />
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

.beside {
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
