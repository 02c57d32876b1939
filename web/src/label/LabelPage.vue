<script setup lang="ts">
import { ElButton, ElInputNumber } from 'element-plus';
import 'element-plus/theme-chalk/el-input-number.css';
import { computed, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import LabelFace from './LabelFace.vue';
import { PAPERS, placesOf, type PaperName } from './paper.ts';
import { useLabel } from './useLabel.ts';
import { useStored } from '../sync/index.ts';
import { PickButtons } from '../ui/fields/index.ts';

/** Labels of a vessel, a jug or a bottle, on the paper that the shop has. */
const { label, shop, code } = useLabel();
const NAMES = Object.keys(PAPERS) as [PaperName, ...PaperName[]];
const paperName = useStored('ratio.paper', 'large');
const paper = computed(() => PAPERS[paperName.value]);
const start = ref(1);
const count = ref(1);
const each = computed(() => paper.value.columns * paper.value.rows);
watch(each, (most) => (start.value = Math.min(start.value, most)));
const sheets = computed(() =>
  placesOf({ paper: paper.value, start: start.value, count: count.value }),
);
const options = NAMES.map((value) => ({ value, text: PAPERS[value].name }));
const print = (): void => window.print();
</script>

<template>
  <div v-if="label" class="page labels" :class="`on-${paper.widthMm}`">
    <h1 class="visually-hidden">Label: {{ label.title }}</h1>
    <div class="tools no-print">
      <PickButtons v-model="paperName" label="Paper" :options />
      <label class="number">
        Labels
        <ElInputNumber v-model="count" :min="1" :max="100" aria-label="How many labels" />
      </label>
      <ElButton type="primary" @click="print">Print</ElButton>
      <RouterLink :to="label.from">Back</RouterLink>
    </div>
    <div v-if="each > 1" class="start no-print" role="group" aria-label="The first free place">
      <span>First free place of the sheet</span>
      <div class="places" :style="{ gridTemplateColumns: `repeat(${paper.columns}, 44px)` }">
        <ElButton
          v-for="place in each"
          :key="place"
          :aria-pressed="place === start"
          :class="{ taken: place < start, here: place === start }"
          @click="start = place"
          >{{ place }}</ElButton
        >
      </div>
    </div>
    <div
      v-for="(sheet, i) in sheets"
      :key="i"
      class="sheet"
      :style="{ width: `${paper.widthMm}mm`, height: `${paper.heightMm}mm` }"
    >
      <LabelFace
        v-for="place in sheet ?? []"
        :key="`${place.xMm} ${place.yMm}`"
        class="placed"
        :style="{ left: `${place.xMm}mm`, top: `${place.yMm}mm` }"
        :label
        :code
        :shop-name="shop?.name ?? ''"
        :size="paper.label"
      />
    </div>
  </div>
  <div v-else class="page">
    <h1>There is no label to show</h1>
    <p>Labels are for a batch that steeps, a jug on hand or a house recipe.</p>
    <p>
      <RouterLink to="/jugs">See the jugs</RouterLink> ·
      <RouterLink to="/shelf/house-recipes">See the house recipes</RouterLink>
    </p>
  </div>
</template>

<style scoped>
.tools {
  flex-wrap: wrap;
}

.number {
  display: flex;
  align-items: center;
  gap: 10px;
}

.start {
  display: grid;
  gap: 6px;
  padding-bottom: 16px;
}

.places {
  display: grid;
  gap: 4px;
}

.places .el-button {
  min-height: 32px;
  height: 32px;
  margin: 0;
  padding: 0;
  font-family: var(--figures);
  font-size: var(--t13);
}

.places .taken {
  background: none;
  color: var(--past);
  text-decoration: line-through;
}

.places .here {
  border-color: var(--action);
  color: var(--action);
  font-weight: 700;
}

.sheet {
  position: relative;
  overflow: hidden;
  margin-bottom: 16px;
  outline: 1px solid var(--hairline-strong);
  background: #fff;
}

.placed {
  position: absolute;
}

@media print {
  @page small-label {
    size: 62mm 40mm;
    margin: 0;
  }

  @page large-label {
    size: 100mm 62mm;
    margin: 0;
  }

  @page label-sheet {
    size: A4;
    margin: 0;
  }

  :global(body:has(.labels.on-62)) {
    page: small-label;
  }

  :global(body:has(.labels.on-100)) {
    page: large-label;
  }

  :global(body:has(.labels.on-210)) {
    page: label-sheet;
  }

  .page {
    padding: 0;
  }

  .sheet {
    margin: 0;
    outline: 0;
    break-after: page;
  }

  .sheet:last-child {
    break-after: auto;
  }
}
</style>
