<script setup lang="ts">
import type { Jug } from '@ratio/core/jug';
import type { Expected } from '@ratio/core/units';
import { computed } from 'vue';
import BalanceCard from './BalanceCard.vue';
import type { JugBench } from './useJugBench.ts';
import { pouredKind, type AmountFormat } from '../format/index.ts';
import { AmountRow, TextRow } from '../ui/fields/index.ts';

/** What leaves a jug, and what is counted in it. */
const props = defineProps<{
  view: 'draw' | 'count' | 'discard';
  jug: Jug;
  /** What the jug itself weighs, g; null where nobody has said it. */
  tareG: number | null;
  /** How dense what is in it is. */
  gPerMl: number;
  bench: JugBench;
  format: AmountFormat;
}>();
const { drawnG, drawnFor, countedG, discardG, discardReason, volumeText, doing } = props.bench;

const m = computed(() => props.jug.onHandG);
const c = computed(() => props.jug.strengthFrac);
const level = computed(() => volumeText(m.value, c.value));
/** On the scale the jug is weighed too, where its own mass is known. */
function setCounted(volumeMl: number, quantity: Expected): void {
  const seenG = volumeMl * props.gPerMl;
  countedG.value = quantity === 'mass' ? Math.max(0, seenG - (props.tareG ?? 0)) : seenG;
}
</script>

<template>
  <BalanceCard
    v-if="view === 'draw'"
    title="Draw off"
    reason="What was poured by hand, as it was seen."
    :balance="null"
    :worked="
      drawnG === null
        ? `${format.mass(m)} are in it.`
        : `${format.mass(m)} − ${format.mass(drawnG)} = ${format.mass(m - drawnG)} left, ${volumeText(m - drawnG, c)}`
    "
    menu=""
    :action="drawnG === null ? 'Say how much' : `Draw off ${volumeText(drawnG, c)}`"
    :disabled="drawnG === null"
    :doing
    @act="
      bench.enter(
        { kind: 'poured', massG: drawnG!, note: drawnFor },
        `${jug.label}: ${volumeText(drawnG!, c)} drawn off.`,
      )
    "
  >
    <AmountRow
      :label="`How much, ${format.pouredOrWeighed}`"
      name="How much is drawn off"
      :placeholder="format.volume(480)"
      :value="drawnG === null ? null : drawnG / gPerMl"
      :kind="
        pouredKind(format, {
          step: 10,
          min: 1,
          max: m / gPerMl,
          gPerMl,
          limitText: `No more than the ${level} that are in it.`,
        })
      "
      @change="(volumeMl) => (drawnG = volumeMl * gPerMl)"
    />
    <TextRow
      label="For"
      name="What it is drawn off for"
      live
      placeholder="staff, a tasting"
      :value="drawnFor"
      @change="drawnFor = $event"
    />
  </BalanceCard>
  <BalanceCard
    v-if="view === 'count'"
    title="Count what it holds"
    :reason="
      tareG === null
        ? 'By its marks, or on the scale without the jug.'
        : `By its marks; or on the scale, jug and all: its ${format.mass(tareG)} are taken off.`
    "
    :balance="null"
    :worked="
      countedG === null
        ? `By the ledger: ${format.mass(m)}, ${level}.`
        : `${format.mass(m)} by the ledger, ${format.mass(countedG)} by the count: ${format.mass(Math.abs(countedG - m))} ${countedG < m ? 'are missing' : 'more'}.`
    "
    menu=""
    :action="countedG === null ? 'Say what it holds' : `It holds ${volumeText(countedG, c)}`"
    :disabled="countedG === null"
    :doing
    @act="
      bench.enter(
        { kind: 'counted', massG: countedG!, note: '' },
        `${jug.label}: ${volumeText(countedG!, c)} counted.`,
      )
    "
  >
    <AmountRow
      :label="`It holds, ${format.pouredOrWeighed}`"
      name="Counted in the jug"
      :placeholder="level"
      :value="countedG === null ? null : countedG / gPerMl"
      :kind="pouredKind(format, { step: 10, min: 0, max: 200000, gPerMl })"
      @change="setCounted"
    />
  </BalanceCard>
  <BalanceCard
    v-if="view === 'discard'"
    title="Discard"
    reason="What is thrown away stays in the log, with the reason and what it had cost."
    :balance="null"
    :worked="
      jug.pricePerKg === null
        ? `${format.mass(discardG ?? m)} go.`
        : `${format.mass(discardG ?? m)} go: ${format.money(((discardG ?? m) / 1000) * jug.pricePerKg)} of coffee.`
    "
    menu=""
    :action="discardReason === '' ? 'Say why' : `Discard ${volumeText(discardG ?? m, c)}`"
    :disabled="discardReason === ''"
    :doing
    @act="
      bench.enter(
        { kind: 'discarded', massG: discardG ?? m, reason: discardReason },
        `${jug.label}: ${format.mass(discardG ?? m)} discarded.`,
      )
    "
  >
    <AmountRow
      :label="`How much, ${format.pouredOrWeighed}`"
      name="How much is discarded"
      placeholder="all of it"
      :value="discardG === null ? null : discardG / gPerMl"
      :kind="pouredKind(format, { step: 10, min: 1, max: m / gPerMl, gPerMl })"
      @change="(volumeMl) => (discardG = volumeMl * gPerMl)"
    />
    <TextRow
      label="Because"
      name="Why it is discarded"
      live
      placeholder="past its date"
      :value="discardReason"
      @change="discardReason = $event"
    />
  </BalanceCard>
</template>
