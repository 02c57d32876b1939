<script setup lang="ts">
import type { Batch } from '@ratio/core/batch';
import { ElButton } from 'element-plus';
import { ref } from 'vue';
import { massKind, percentKind } from '../../components/fields/amountKind.ts';
import type { AmountFormat } from '../../format/amountFormat.ts';
import AmountField from '../../components/fields/AmountField.vue';

/** Straining a batch: what came out on the scale, and a reading where there is one. */
const props = defineProps<{ batch: Batch; format: AmountFormat; busy: boolean; due: boolean }>();
const emit = defineEmits<{ strain: [actual: { brewG: number; strengthFrac: number | null }] }>();

const NO_MORE = 'No more than what went in, and not nothing.';
const { doseG, waterG, filtration } = props.batch.plan;
const mostG = doseG + waterG + filtration.rinseG;
const brewG = ref(Math.round(props.batch.predicted.brewG));
const strengthFrac = ref(props.batch.predicted.strengthFrac);
const read = ref(false);

function setReading(value: number): void {
  strengthFrac.value = value;
  read.value = true;
}
</script>

<template>
  <form
    class="strain"
    @submit.prevent="emit('strain', { brewG, strengthFrac: read ? strengthFrac : null })"
  >
    <div>
      <span class="label">Came out, on the scale</span>
      <AmountField
        label="Brew that came out"
        :value="brewG"
        :kind="massKind(format, { step: 10, min: 1, max: mostG, limitText: NO_MORE })"
        @change="(value) => (brewG = value)"
      />
    </div>
    <div>
      <span class="label">Reading, {{ read ? 'yours' : 'as predicted' }}</span>
      <AmountField
        label="Refractometer reading"
        :value="strengthFrac"
        :kind="percentKind({ step: 0.0001, min: 0.001, max: 0.3 })"
        @change="setReading"
      />
    </div>
    <ElButton native-type="submit" :type="due ? 'primary' : 'default'" :loading="busy"
      >Strain into a jug</ElButton
    >
  </form>
</template>

<style scoped>
.strain {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 12px 24px;
}

.strain > div {
  width: 176px;
  border-bottom: 1px solid var(--hairline-strong);
}
</style>
