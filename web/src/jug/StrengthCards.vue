<script setup lang="ts">
import { waterDensityGPerMl } from '@ratio/core/matter';
import type { Jug } from '@ratio/core/jug';
import { computed } from 'vue';
import BalanceCard from './BalanceCard.vue';
import type { JugBench } from './useJugBench.ts';
import { STRENGTH, jugOption, massKind, pouredKind, type AmountFormat } from '../format/index.ts';
import { AmountRow, PickRow } from '../ui/fields/index.ts';

/** What changes how strong a jug is, or what is known of it: each a balance before it is done. */
const props = defineProps<{
  view: 'read' | 'water' | 'thin' | 'blend' | 'stretch';
  jug: Jug;
  bench: JugBench;
  format: AmountFormat;
}>();
const { others, other, volumeText, menus, doing } = props.bench;
const { readFrac, thinFrac, blendFrac, stretchG, thin, blend, stretch, waterG, water } =
  props.bench;

const WATER_G_PER_ML = waterDensityGPerMl(4);
const m = computed(() => props.jug.onHandG);
const c = computed(() => props.jug.strengthFrac);
</script>

<template>
  <BalanceCard
    v-if="view === 'read'"
    title="Read it"
    reason="Black coffee, stirred, at room temperature. A refractometer counts milk and sugar too."
    :balance="null"
    :worked="
      readFrac === null
        ? `Now ${format.percent(c)}.`
        : `${format.percent(c)} → ${format.percent(readFrac)}, caffeine with it`
    "
    :disabled="readFrac === null"
    :menu="menus.read.value"
    :action="readFrac === null ? 'Say what was read' : 'Note this reading'"
    :doing
    @act="
      bench.enter(
        { kind: 'read', strengthFrac: readFrac!, note: '' },
        `${jug.label}: read ${format.percent(readFrac!)}.`,
      )
    "
  >
    <AmountRow
      label="Refractometer"
      name="Reading of the jug"
      :placeholder="format.percent(c)"
      :value="readFrac"
      :kind="STRENGTH"
      @change="readFrac = $event"
    />
  </BalanceCard>
  <BalanceCard
    v-if="view === 'thin'"
    title="Bring it down to a strength"
    reason="Water, cold and filtered: the solids stay, so m (c / c* − 1)."
    :balance="thin"
    :worked="`${format.mass(m)} (${format.percent(c)} / ${format.percent(thinFrac)} − 1) = ${format.mass(thin.addG)} of water, ${volumeText(thin.afterG, thin.afterFrac)} in all`"
    :menu="menus.thin.value"
    :action="`Add ${format.mass(thin.addG)} of water`"
    :doing
    @act="
      bench.enter(
        { kind: 'watered', massG: thin.addG, note: `down to ${format.percent(thinFrac)}` },
        `${jug.label}: ${format.mass(thin.addG)} of water added.`,
      )
    "
  >
    <AmountRow
      label="Strength wanted"
      name="Strength wanted in the jug"
      :value="thinFrac"
      :kind="STRENGTH"
      @change="thinFrac = $event"
    />
  </BalanceCard>
  <BalanceCard
    v-if="view === 'blend' && other && blend"
    title="Blend it with another jug"
    reason="Up or down, between the two: m (c* − c) / (c₂ − c*). The older one’s date then holds for both."
    :balance="blend"
    :worked="`${format.mass(m)} (${format.percent(blendFrac)} − ${format.percent(c)}) / (${format.percent(other.strengthFrac)} − ${format.percent(blendFrac)}) = ${format.mass(blend.addG)} of ${other.label}, ${volumeText(blend.afterG, blend.afterFrac)} in all`"
    :menu="menus.blend.value"
    :action="`Add ${format.mass(blend.addG)} of ${other.label}`"
    :doing
    @act="
      bench.enter(
        {
          kind: 'blended',
          fromJugId: other.id,
          massG: blend.addG,
          note: `${other.label} into ${jug.label}`,
        },
        `${format.mass(blend.addG)} of ${other.label} into ${jug.label}.`,
      )
    "
  >
    <PickRow
      label="With"
      name="Blend with"
      :model-value="other.id"
      :options="
        others.map((one) => jugOption(one, volumeText(one.onHandG, one.strengthFrac), format))
      "
      @update:model-value="bench.chooseOther"
    />
    <AmountRow
      label="To a strength of"
      name="Strength of the blend"
      :value="blendFrac"
      :kind="STRENGTH"
      @change="blendFrac = $event"
    />
  </BalanceCard>
  <BalanceCard
    v-if="view === 'stretch'"
    title="Stretch it for a rush"
    reason="Water to an amount. Drinks poured by hand come out weaker; those to a strength take more of it."
    :balance="stretch"
    :worked="`${format.mass(m)} · ${format.percent(c)} / ${format.mass(stretchG)} = ${format.percent(stretch.afterFrac)}, with ${format.mass(stretch.addG)} of water`"
    :menu="menus.stretch.value"
    :action="`Add ${format.mass(stretch.addG)} of water`"
    :doing
    @act="
      bench.enter(
        { kind: 'watered', massG: stretch.addG, note: `stretched to ${format.mass(stretchG)}` },
        `${jug.label}: stretched to ${format.mass(stretchG)}.`,
      )
    "
  >
    <AmountRow
      label="To"
      name="Amount wanted in the jug"
      :value="stretchG"
      :kind="massKind(format, { step: 50, min: 1, max: 200000 })"
      @change="stretchG = $event"
    />
  </BalanceCard>
  <BalanceCard
    v-if="view === 'water'"
    title="I add water"
    reason="As it was seen, by volume or by mass."
    :balance="water"
    :worked="
      waterG === null
        ? 'Say how much.'
        : `${format.mass(m)} · ${format.percent(c)} / ${format.mass(water.afterG)} = ${format.percent(water.afterFrac)}, ${volumeText(water.afterG, water.afterFrac)} in all`
    "
    :menu="menus.water.value"
    :action="waterG === null ? 'Say how much water' : `${format.mass(waterG)} of water are in`"
    :doing
    @act="
      bench.enter(
        { kind: 'watered', massG: waterG!, note: '' },
        `${jug.label}: ${format.mass(waterG!)} of water added.`,
      )
    "
  >
    <AmountRow
      :label="`Water, ${format.pouredOrWeighed}`"
      name="Water added"
      :placeholder="format.volume(250)"
      :value="waterG === null ? null : waterG / WATER_G_PER_ML"
      :kind="pouredKind(format, { step: 10, min: 1, max: 200000, gPerMl: WATER_G_PER_ML })"
      @change="(volumeMl) => (waterG = volumeMl * WATER_G_PER_ML)"
    />
  </BalanceCard>
</template>
