<script setup lang="ts">
import { ElButton } from 'element-plus';
import { RouterLink } from 'vue-router';
import { useLabel } from './useLabel.ts';

/** One label for a jug or a bottle, as it is stuck on. */
const { label, shop } = useLabel();
const print = (): void => window.print();
</script>

<template>
  <div v-if="label" class="page jug-label">
    <div class="tools no-print">
      <ElButton type="primary" @click="print">Print this label</ElButton>
      <RouterLink :to="label.from">Back</RouterLink>
    </div>
    <article class="label-sheet">
      <h1>{{ label.title }}</h1>
      <p>{{ label.what }}</p>
      <dl>
        <div>
          <dt>Made</dt>
          <dd class="figures">{{ label.made }}</dd>
        </div>
        <div>
          <dt>Use by</dt>
          <dd class="figures by">{{ label.useBy }}</dd>
        </div>
      </dl>
      <p><strong>Contains</strong> {{ label.contains }}</p>
      <p><strong>Keep</strong> {{ label.keep }}</p>
      <footer>{{ shop?.name }}. The local food code decides how long it is kept.</footer>
    </article>
  </div>
  <div v-else class="page">
    <h1>There is no label to show</h1>
    <p>A label is of a jug on hand, or of a house recipe.</p>
    <p>
      <RouterLink to="/jugs">See the jugs</RouterLink> ·
      <RouterLink to="/shelf/house-recipes">See the house recipes</RouterLink>
    </p>
  </div>
</template>

<style scoped>
.label-sheet {
  display: grid;
  gap: 6px;
  width: 100%;
  max-width: 480px;
  border: 1px solid var(--ink);
  border-radius: 4px;
  background: var(--panel);
  padding: 18px 22px;
}

.label-sheet h1 {
  font-size: var(--t40);
  line-height: 1.1;
}

dl {
  display: flex;
  gap: 32px;
  border-block: 1px solid var(--ink);
  margin: 4px 0;
  padding: 8px 0;
}

dt {
  font-size: var(--t13);
}

dd {
  margin: 0;
  font-size: var(--t24);
}

.by {
  font-weight: 700;
}

footer {
  color: var(--ink-soft);
  font-size: var(--t13);
}

@media print {
  @page jug-label {
    size: 100mm 62mm;
    margin: 4mm;
  }

  :global(body:has(.jug-label)) {
    page: jug-label;
  }

  .page {
    padding: 0;
  }

  .label-sheet {
    max-width: none;
    gap: 1mm;
    border: 0;
    padding: 0;
  }

  .label-sheet h1 {
    font-size: 17pt;
  }

  .label-sheet p,
  dt {
    font-size: 9pt;
  }

  dd {
    font-size: 14pt;
  }

  footer {
    font-size: 7pt;
  }
}
</style>
