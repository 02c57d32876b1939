<script setup lang="ts">
import { ROASTS, type Coffee } from '@ratio/core/coffee';
import { ElDialog } from 'element-plus';
import 'element-plus/theme-chalk/el-overlay.css';
import 'element-plus/theme-chalk/el-dialog.css';
import { computed, ref } from 'vue';
import { pricePerMassKind, type AmountFormat } from '../format/index.ts';
import {
  ActButton,
  AmountRow,
  ChoiceRow,
  DateField,
  PickButtons,
  TextRow,
  useRefusals,
} from '../ui/fields/index.ts';

/** A bag that has arrived: of a coffee on the shelf, or of a new one. What is not known stays open. */
const props = defineProps<{
  coffees: readonly Coffee[];
  format: AmountFormat;
  /** Prices are the lead’s. */
  mayPrice: boolean;
  now: Date;
  zone: string;
}>();
const open = defineModel<boolean>({ required: true });
type Bag = Pick<Coffee, 'name' | 'roast' | 'roastedOn' | 'pricePerKg'>;
const emit = defineEmits<{ again: [coffee: Coffee, bag: Partial<Bag>]; fresh: [bag: Bag] }>();
useRefusals();

const NEW = 'new';
const ofId = ref(NEW);
const of = computed(() => props.coffees.find(({ id }) => id === ofId.value) ?? null);
const options = computed(() => [
  { value: NEW, text: 'A new coffee' },
  ...props.coffees.map(({ id, name }) => ({ value: id, text: name })),
]);
const ROAST_OPTIONS = ROASTS.map((value) => ({ value, text: value }));
const name = ref('');
const roast = ref<Coffee['roast'] | null>(null);
const roastedOn = ref<string | null>(null);
const pricePerKg = ref<number | null>(null);
const isReady = computed(() => of.value !== null || (name.value.trim() !== '' && roast.value));

function shelve(): void {
  const known = {
    ...(roastedOn.value === null ? {} : { roastedOn: roastedOn.value }),
    ...(pricePerKg.value === null ? {} : { pricePerKg: pricePerKg.value }),
  };
  if (of.value) emit('again', of.value, { roastedOn: null, ...known });
  else if (roast.value)
    emit('fresh', {
      name: name.value.trim(),
      roast: roast.value,
      roastedOn: roastedOn.value,
      pricePerKg: pricePerKg.value,
    });
  open.value = false;
}
</script>

<template>
  <ElDialog v-model="open" title="A new bag" width="min(94vw, 560px)" append-to-body>
    <div class="bag">
      <PickButtons
        label="A bag of"
        :options
        :model-value="ofId"
        @update:model-value="ofId = $event ?? NEW"
      />
      <template v-if="!of">
        <TextRow
          label="Name"
          name="Name of the coffee"
          placeholder="as the bag has it"
          live
          :value="name"
          @change="name = $event"
        />
        <ChoiceRow label="Roast">
          <PickButtons v-model="roast" label="Roast of the bag" :options="ROAST_OPTIONS" />
        </ChoiceRow>
      </template>
      <ChoiceRow label="Roasted on" note="today, yesterday, 4 June">
        <DateField
          label="Roasted on"
          placeholder="not known"
          :date="roastedOn"
          :now
          :zone
          @change="roastedOn = $event"
        />
      </ChoiceRow>
      <AmountRow
        v-if="mayPrice"
        :label="`Price a ${format.pricedMass}`"
        placeholder="not known"
        :value="pricePerKg"
        :kind="pricePerMassKind(format, { max: 1000 })"
        @change="pricePerKg = $event"
      />
      <ActButton primary :disabled="!isReady" @act="shelve">Put it on the shelf</ActButton>
    </div>
  </ElDialog>
</template>

<style scoped>
.bag {
  display: grid;
  gap: 8px;
}

.bag > .el-button {
  justify-self: start;
  margin-top: 8px;
}
</style>
