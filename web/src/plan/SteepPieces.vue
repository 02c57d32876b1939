<script setup lang="ts">
import type { Plan } from '@ratio/core/batch';
import { hoursKind } from '../format/index.ts';
import { LeaveOutButton, LinkButton } from '../ui/buttons/index.ts';
import { AmountField, ChoiceField } from '../ui/fields/index.ts';

/** The stretches of a steep, one place after another. */
const props = defineProps<{ pieces: Plan['steep']; fridgeC: number; roomC: number }>();
const emit = defineEmits<{ change: [pieces: Plan['steep']] }>();

type Piece = Plan['steep'][number];

const PLACES = [
  { value: 'fridge', label: 'in the fridge', reason: 'slow and safe: 16 to 24 h' },
  {
    value: 'counter',
    label: 'on the counter',
    reason: 'faster: 12 to 18 h; check the local rules',
  },
] as const;
const MOST = 3;

const tempOf = (place: Piece['place']): number =>
  place === 'fridge' ? props.fridgeC : props.roomC;
const replace = (i: number, part: Partial<Piece>): void =>
  emit(
    'change',
    props.pieces.map((piece, k) => (k === i ? { ...piece, ...part } : piece)),
  );
const remove = (i: number): void =>
  emit(
    'change',
    props.pieces.filter((_, k) => k !== i),
  );
function add(): void {
  const place = props.pieces.at(-1)!.place === 'counter' ? 'fridge' : 'counter';
  emit('change', [...props.pieces, { place, tempC: tempOf(place), hours: 6 }]);
}
</script>

<template>
  <div>
    <div v-for="(piece, i) in pieces" :key="i" class="piece">
      <AmountField
        :label="i === 0 ? 'Hours of steep' : `Hours of steep, place ${i + 1}`"
        class="hours"
        :value="piece.hours * 3600"
        :kind="
          hoursKind({
            step: 900,
            min: 900,
            max: 604800,
            limitText: 'Between a quarter of an hour and 168 h.',
          })
        "
        @change="(timeS) => replace(i, { hours: timeS / 3600 })"
      />
      <ChoiceField
        :label="i === 0 ? 'Place' : `Place ${i + 1}`"
        :model-value="piece.place"
        :options="PLACES"
        @update:model-value="replace(i, { place: $event, tempC: tempOf($event) })"
      />
      <LeaveOutButton
        v-if="pieces.length > 1"
        :label="`Leave out place ${i + 1}`"
        @click="remove(i)"
      />
      <LinkButton v-if="i === pieces.length - 1 && pieces.length < MOST" @click="add">
        + then
      </LinkButton>
    </div>
  </div>
</template>

<style scoped>
.piece {
  display: flex;
  align-items: center;
  gap: 8px;
}

.hours {
  flex: 0 0 76px;
}

.piece > :nth-child(2) {
  flex: 1;
}
.piece > .el-button.is-link {
  padding: 0;
}
</style>
