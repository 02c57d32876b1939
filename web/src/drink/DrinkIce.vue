<script setup lang="ts">
import {
  fullIceG,
  ICE_KINDS,
  icePieceG,
  STARTING_DRINKS,
  type Drink,
  type IceKind,
} from '@ratio/core/drink';
import type { MadeRecipe } from '@ratio/core/pantry';
import { convert, type OwnMeasure } from '@ratio/core/units';
import { computed } from 'vue';
import { ICE_TEMPS } from './iceTemps.ts';
import { massKind, type AmountFormat } from '../format/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { AmountField, ChoiceRow, PickRow } from '../ui/fields/index.ts';

/** The ice of a drink: its kind, how much, how cold, and what it is frozen from. */
const props = defineProps<{
  ice: Drink['ice'];
  /** What that comes to, g. */
  iceG: number;
  /** Strength of the jug in hand, which cubes may be frozen from. */
  jugFrac: number;
  made: readonly MadeRecipe[];
  format: AmountFormat;
}>();
const emit = defineEmits<{ change: [ice: Drink['ice']] }>();

const ICE_REASONS: Readonly<Record<IceKind | 'none', string>> = {
  none: 'straight, hot or from the siphon',
  cubes: 'melts slowly enough for a long drink',
  crushed: 'cold at once, thins at once',
  large: 'one piece, thins least',
};
const ICE_OPTIONS = (['none', ...ICE_KINDS] as const).map((value) => ({
  value,
  label: value === 'none' ? 'no ice' : value === 'large' ? 'large pieces' : value,
  reason: ICE_REASONS[value],
}));

const plain = STARTING_DRINKS[0]!.drink.ice!;
const iceKind = computed(() => props.ice?.kind ?? 'none');
function setIceKind(kind: IceKind | 'none'): void {
  if (kind === 'none') return emit('change', null);
  emit('change', { ...(props.ice ?? plain), kind });
}
const iceRecipes = computed(() =>
  props.made.filter(
    ({ ingredient, strengthFrac }) => ingredient.kind === 'coffee' && strengthFrac > 0,
  ),
);
const iceIs = computed(() => {
  const { ice } = props;
  if (!ice) return 'water';
  return ice.recipe ?? (ice.coffeeFrac > 0 ? 'jug' : 'water');
});
const iceOptions = computed(() => [
  { value: 'water', label: 'water', reason: 'thins the drink' },
  {
    value: 'jug',
    label: `coffee of ${props.format.percent(props.ice?.coffeeFrac || props.jugFrac)}`,
    reason: 'frozen out of the jug; the drink grows stronger',
  },
  ...iceRecipes.value.map(({ ingredient, strengthFrac }) => ({
    value: ingredient.id,
    label: `${ingredient.name}, ${props.format.percent(strengthFrac)}`,
    reason: 'house recipe',
  })),
]);
function setIceIs(value: string): void {
  const { ice } = props;
  if (!ice) return;
  const { recipe: _, ...rest } = ice;
  const coffeeFrac = value === 'jug' ? props.jugFrac : 0;
  emit(
    'change',
    value === 'water' || value === 'jug'
      ? { ...rest, coffeeFrac }
      : { ...rest, coffeeFrac: 0, recipe: value },
  );
}
const iceTemps = computed(() => {
  const now = props.ice?.tempC;
  const known = ICE_TEMPS.some(({ tempC }) => tempC === now);
  const all = known || now === undefined ? ICE_TEMPS : [...ICE_TEMPS, { tempC: now, reason: '' }];
  return all.map(({ tempC, reason }) => ({
    value: String(tempC),
    label: props.format.temp(tempC),
    reason,
  }));
});
function setIceTemp(value: string): void {
  const { ice } = props;
  if (ice) emit('change', { ...ice, tempC: Number(value) });
}
/** Ice is counted too: ten cubes. */
const pieces = computed<OwnMeasure[]>(() => {
  const kind = props.ice?.kind ?? 'cubes';
  const canonical = icePieceG(kind);
  const cup: OwnMeasure = {
    name: 'cup',
    quantity: 'mass',
    canonical: fullIceG({ cupMl: convert({ value: 1, from: 'cup', to: 'millilitre' }), kind }),
  };
  return kind === 'crushed'
    ? [cup]
    : [cup, ...['cube', 'piece'].map((name) => ({ name, quantity: 'mass' as const, canonical }))];
});
const details = computed(() => [
  {
    label: 'Ice at',
    name: 'Temperature of the ice',
    options: iceTemps.value,
    chosen: String(props.ice?.tempC),
    set: setIceTemp,
  },
  {
    label: 'Ice of',
    name: 'What the ice is',
    options: iceOptions.value,
    chosen: iceIs.value,
    set: setIceIs,
  },
]);
const isFull = computed(() => props.ice !== null && 'fill' in props.ice);
/** So much ice; or whatever fills the glass. */
function setIceG(much: { massG: number } | { fill: 'full' }): void {
  const { ice } = props;
  if (!ice) return;
  const { tempC, coffeeFrac, kind, recipe } = ice;
  emit('change', { ...much, tempC, coffeeFrac, kind, recipe });
}
</script>

<template>
  <PickRow
    label="Ice"
    name="Kind of ice"
    :options="ICE_OPTIONS"
    :model-value="iceKind"
    @update:model-value="setIceKind"
  />
  <template v-if="ice">
    <ChoiceRow label="How much ice">
      <AmountField
        label="How much ice"
        :value="iceG"
        :kind="massKind(format, { step: 5, min: 0, max: 20000 })"
        :measures="pieces"
        @change="(massG) => setIceG({ massG })"
      />
      <template #action>
        <LinkButton
          class="plain"
          :aria-pressed="isFull"
          aria-label="Fill the glass with ice"
          @click="setIceG(isFull ? { massG: Math.round(iceG) } : { fill: 'full' })"
        >
          full
        </LinkButton>
      </template>
    </ChoiceRow>
    <PickRow
      v-for="{ label, name, options, chosen, set } in details"
      :key="name"
      :label
      :name
      :options
      :model-value="chosen"
      @update:model-value="set"
    />
  </template>
</template>
