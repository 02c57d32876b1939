<script setup lang="ts">
import type { Label } from './useLabel.ts';
import { QrCode } from '../ui/drawings/index.ts';

/** One label as it is stuck on, in black. */
defineProps<{
  label: Label;
  code: string;
  shopName: string;
  size: { readonly widthMm: number; readonly heightMm: number };
}>();
</script>

<template>
  <article
    class="face"
    :class="{ small: size.heightMm < 50 }"
    :style="{ width: `${size.widthMm}mm`, height: `${size.heightMm}mm` }"
  >
    <div class="words">
      <h2>{{ label.title }}</h2>
      <p>{{ label.what }}</p>
      <p v-if="label.dilute !== ''">
        <b>{{ label.dilute }}</b>
      </p>
      <p class="dates">
        <span>{{ label.useByName === 'Strain' ? 'Began' : 'Made' }} {{ label.made }}</span>
        <b>{{ label.useByName }} {{ label.useBy }}</b>
      </p>
      <p class="fine">Contains {{ label.contains }}. Keep {{ label.keep }}.</p>
      <p class="fine foot">
        {{ shopName }}{{ label.who === '' ? '' : `, ${label.who}` }}. The local food code decides
        how long it is kept.
      </p>
    </div>
    <QrCode v-if="code !== ''" class="code" :text="code" />
  </article>
</template>

<style scoped>
.face {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 25mm;
  gap: 1.5mm;
  overflow: hidden;
  background: #fff;
  color: #000;
  padding: 3mm;
  font-size: 8.5pt;
  line-height: 1.2;
}

.small {
  grid-template-columns: minmax(0, 1fr) 18mm;
  padding: 2mm;
  font-size: 6.2pt;
}

.words {
  display: flex;
  flex-direction: column;
  gap: 1mm;
  min-width: 0;
}

h2 {
  color: #000;
  font-size: 16pt;
  font-weight: 700;
  line-height: 1.05;
}

.small h2 {
  font-size: 10.5pt;
}

.dates {
  display: grid;
  border-block: 0.3mm solid #000;
  padding: 0.8mm 0;
}

.dates b {
  font-size: 12.5pt;
}

.small .dates b {
  font-size: 9pt;
}

.fine {
  font-size: 7.5pt;
}

.small .fine {
  font-size: 5.4pt;
}

.foot {
  margin-top: auto;
}

.code {
  align-self: end;
  width: 100%;
}
</style>
