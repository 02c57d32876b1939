<script setup lang="ts">
import type { Jug } from '@ratio/core/jug';
import { coffeeOf } from '@ratio/core/matter';
import { amountParts, percentFigure } from '@ratio/core/units';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import {
  READ_BY,
  clockTime,
  cssColour,
  dayName,
  listText,
  type AmountFormat,
} from '../format/index.ts';
import { JugDrawing } from '../ui/drawings/index.ts';
import { BigFigure } from '../ui/figures/index.ts';

/** A jug as it is: what it holds, how strong, since when and until when. */
const props = defineProps<{ jug: Jug; onHandMl: number; zone: string; format: AmountFormat }>();
const emit = defineEmits<{ choose: [] }>();

const level = computed(() => props.format.volume(props.onHandMl));
const room = computed(() =>
  props.jug.capacityMl === null ? null : Math.max(0, props.jug.capacityMl - props.onHandMl),
);
</script>

<template>
  <header>
    <JugDrawing
      :capacity-ml="jug.capacityMl"
      :on-hand-ml
      :colour="cssColour(coffeeOf({ massG: 1, strengthFrac: jug.strengthFrac }))"
      :per-unit-ml="format.vesselUnitMl"
      :text="`${level} in ${jug.label}`"
    />
    <div>
      <h1>{{ jug.label }}</h1>
      <p class="soft">
        <template v-if="jug.onGrounds">Still on its grounds, at the strength of now. </template>
        {{
          listText([
            jug.coffeeName,
            `made ${clockTime({ at: new Date(jug.madeAt), zone })}`,
            `use by ${dayName({ at: new Date(jug.useBy), zone })}`,
          ])
        }}
      </p>
      <p>
        <RouterLink to="/pour" @click="emit('choose')">Pour from it</RouterLink> ·
        <RouterLink :to="`/label?jug=${jug.id}`">Its label</RouterLink> ·
        <RouterLink to="/jugs">All jugs</RouterLink>
      </p>
    </div>
    <BigFigure
      :label="`Strength (TDS), ${READ_BY[jug.readBy]}`"
      size="middle"
      :figure="percentFigure(jug.strengthFrac)"
      unit="%"
    />
    <BigFigure label="On hand" size="middle" v-bind="amountParts(level)">
      {{ format.mass(jug.onHandG)
      }}<template v-if="room !== null">, room for {{ format.volume(room) }} more</template>
    </BigFigure>
  </header>
</template>

<style scoped>
header {
  display: grid;
  grid-template-columns: minmax(0, 168px) 1fr auto auto;
  align-items: start;
  gap: 8px 36px;
}

@media (max-width: 860px) {
  header {
    grid-template-columns: minmax(0, 168px) minmax(0, 1fr);
    gap: 8px 18px;
  }
}
</style>
