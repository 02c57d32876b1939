<script setup lang="ts">
import { percentText } from '@ratio/core/units';
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { usePour } from './usePour.ts';
import { listText } from '../format/index.ts';
import { GlassDrawing } from '../ui/drawings/index.ts';

/** One drink as a card for the bar: what to pour in which order, what it contains, its cautions. */
const page = usePour();
const { drink, solved, solution, jugs, format, shop } = page;

const served = computed(() => {
  if (!drink.value) return '';
  const { serve, stirredDown, chilledToC, servings } = drink.value;
  return listText([
    chilledToC === null ? '' : `chill to ${format.value.temp(chilledToC)} first`,
    stirredDown ? 'shake or stir it down' : '',
    serve === 'siphon' ? 'charge with nitrogen' : serve === 'keg' ? 'draw from the keg' : '',
    servings > 1 ? `for ${servings}` : '',
  ]);
});
const cautions = computed(
  () => solved.value?.cautions.filter(({ code }) => code !== 'contains_allergens') ?? [],
);
const print = (): void => window.print();
</script>

<template>
  <div v-if="drink && solution && solved" class="page build-card">
    <div class="tools no-print">
      <ElButton type="primary" @click="print">Print this card</ElButton>
      <RouterLink :to="`/pour?drink=${drink.id}`">Back to the glass</RouterLink>
    </div>
    <article class="card">
      <header>
        <h1>{{ drink.name }}</h1>
        <p>
          <span class="figures strength">{{ format.percent(solution.strengthFrac) }}</span>
          <span v-if="served"> · {{ served }}</span>
        </p>
      </header>
      <div class="glass" aria-hidden="true">
        <GlassDrawing
          :cup-ml="drink.cupMl"
          :kind="drink.glass"
          :layers="page.layers.value"
          :ice="page.iceText.value"
          :line-text="format.volume(drink.cupMl)"
          :per-unit-ml="format.glassUnitMl"
          still
        />
      </div>
      <ol>
        <li v-for="row in page.build.value" :key="row.key">
          <strong class="figures">{{ row.amount }}</strong>
          <span>{{ row.name }}</span>
          <span class="soft">{{ row.also }}</span>
        </li>
      </ol>
      <section class="contains">
        <p>
          <strong>Contains</strong>
          {{ solved.allergens.join(', ') || 'none of the listed allergens' }}
        </p>
        <p>
          {{ (solution.caffeineMg / drink.servings).toFixed(0) }} mg caffeine,
          {{ (solution.energyKcal / drink.servings).toFixed(0) }} kcal,
          {{ (solution.sugarG / drink.servings).toFixed(0) }} g sugar
          <template v-if="solution.alcoholFrac > 0"
            >, {{ percentText(solution.alcoholFrac, 1) }} alcohol by volume</template
          >
          <template v-if="drink.servings > 1"> each</template>
        </p>
      </section>
      <ul v-if="cautions.length > 0" class="cautions">
        <li v-for="caution in cautions" :key="caution.text">{{ caution.text }}</li>
      </ul>
      <footer class="soft">
        {{ shop.document?.name }}. From {{ jugs.chosen.label }} at
        {{ format.percent(jugs.chosen.strengthFrac) }}. From another jug the amounts differ. Check
        the packages for allergens; the local food code decides.
      </footer>
    </article>
  </div>
  <div v-else class="page empty">
    <h1>There is no card to show</h1>
    <p>A card needs a drink and a jug that it is poured from.</p>
    <p><RouterLink to="/pour">Go to the glass</RouterLink></p>
  </div>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: 260px minmax(0, 1fr);
  gap: 6px 32px;
  max-width: 900px;
  border: 1px solid var(--ink);
  background: var(--panel);
  padding: 22px 28px;
}

.card > * {
  grid-column: 2;
}

.card > .glass {
  grid-row: 1 / span 6;
  grid-column: 1;
}

h1 {
  font-size: var(--t40);
}

.strength {
  font-size: var(--t24);
}

ol {
  display: grid;
  grid-template-columns: minmax(6.5rem, auto) 1fr auto;
  column-gap: 14px;
}

ol li {
  display: grid;
  grid-template-columns: subgrid;
  grid-column: 1 / -1;
  align-items: baseline;
  border-bottom: 1px solid var(--hairline);
  padding: 6px 0;
  font-size: var(--t18);
}

ol strong {
  font-size: var(--t24);
  white-space: nowrap;
  text-align: right;
}

ol .soft {
  font-size: var(--t13);
  text-align: right;
  white-space: nowrap;
}

.contains {
  padding-top: 6px;
}

.cautions li {
  padding-left: 12px;
  border-left: 3px solid var(--hairline-strong);
  margin-top: 4px;
  font-size: var(--t13);
}

footer {
  font-size: var(--t13);
}

@media (max-width: 760px) {
  .card {
    grid-template-columns: 1fr;
  }

  .card > *,
  .card > .glass {
    grid-row: auto;
    grid-column: 1;
  }

  ol strong {
    font-size: var(--t18);
  }
}

@media print {
  /* A page of its own name: the styles of all pages that were opened stand beside one another. */
  @page build-card {
    size: A5 landscape;
    margin: 8mm;
  }

  :global(body:has(.build-card)) {
    page: build-card;
  }

  .page {
    padding: 0;
  }

  .card {
    grid-template-columns: 52mm 1fr;
    border: 0;
    padding: 0;
    gap: 1mm 6mm;
  }

  h1 {
    font-size: 20pt;
  }

  ol li {
    padding: 1mm 0;
    font-size: 11pt;
  }

  ol strong {
    font-size: 14pt;
  }

  .cautions li,
  footer,
  .contains {
    font-size: 8pt;
  }
}
</style>
