<script setup lang="ts">
import { percentFigure } from '@ratio/core/units';
import { ElButton } from 'element-plus';
import { RouterLink } from 'vue-router';
import { useEntryPage } from './useEntryPage.ts';
import LogWays from './LogWays.vue';
import { LinkButton } from '../ui/buttons/index.ts';
import { BigFigure } from '../ui/figures/index.ts';

/** One batch as the log has it. */
const page = useEntryPage();
const { batch, state, failure, load, facts, foundFrac, rows, next, said, notes, title } = page;
const { nothingToChange, like, saveMarkdown, saveJson } = page;
const print = (): void => window.print();
</script>

<template>
  <div class="page entry">
    <LogWays :title="title || 'A batch'" />
    <p v-if="state === 'failed'" class="due" role="alert">
      {{ failure }} <LinkButton @click="load">Try again</LinkButton>
    </p>
    <template v-else-if="batch">
      <div class="two">
        <section aria-labelledby="what">
          <h2 id="what" class="section-head">What it was</h2>
          <BigFigure
            v-if="foundFrac !== null"
            label="Found"
            :figure="percentFigure(foundFrac)"
            unit="%"
            size="middle"
          />
          <dl>
            <div v-for="fact in facts" :key="fact.name">
              <dt>{{ fact.name }}</dt>
              <dd>{{ fact.text }}</dd>
            </div>
          </dl>
          <p class="do no-print">
            <ElButton type="primary" @click="like">Plan one like it</ElButton>
            <RouterLink :to="`/steep/${batch.id}`">At the bench</RouterLink>
            <LinkButton @click="saveMarkdown">Markdown</LinkButton>
            <LinkButton @click="saveJson">JSON</LinkButton>
            <LinkButton @click="print">Print</LinkButton>
          </p>
        </section>
        <section aria-labelledby="next-time">
          <h2 id="next-time" class="section-head">Next time</h2>
          <ul v-if="next.length > 0" class="next">
            <li v-for="one in next" :key="one.key">
              <LinkButton @click="one.open">{{ one.title }}</LinkButton>
              <span>{{ one.why }}. {{ one.effect }}.</span>
            </li>
          </ul>
          <p v-else class="soft">{{ nothingToChange }}</p>
          <h3>How it tasted</h3>
          <p v-if="said.length > 0">{{ said.join(', ') }}</p>
          <p v-for="one in notes" :key="one.id">“{{ one.note }}” {{ one.taster }}</p>
          <p class="no-print"><RouterLink to="/log/tasting">Score it</RouterLink></p>
        </section>
      </div>
      <section aria-labelledby="happened">
        <h2 id="happened" class="section-head">What happened</h2>
        <ol>
          <li v-for="row in rows" :key="row.id">
            <span class="figures">{{ row.when }}</span> <span>{{ row.text }}</span>
            <span class="soft">{{ row.by }}</span>
          </li>
        </ol>
        <p v-if="rows.length === 0" class="soft">Nothing was noted of it.</p>
        <ul v-if="batch.photos.length > 0" class="photos">
          <li v-for="photo in batch.photos" :key="photo.id">
            <img :src="`/api/photos/${photo.id}`" alt="A photograph of the batch" loading="lazy" />
          </li>
        </ul>
      </section>
    </template>
    <p v-else class="soft" role="status">Fetching the batch …</p>
  </div>
</template>

<style scoped>
.entry,
section {
  display: grid;
  align-content: start;
  gap: 14px;
}

.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 48px;
}

dl {
  display: grid;
}

dl div {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr);
  border-bottom: 1px solid var(--hairline);
  padding: 6px 0;
}

dt {
  color: var(--ink-soft);
}

h3 {
  margin: 8px 0 0;
  font-size: var(--t15);
}

.do {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 18px;
}

.next {
  display: grid;
  gap: 8px;
}

.next li {
  display: grid;
  justify-items: start;
}

.next :deep(.el-button) {
  min-height: 32px;
  padding: 0;
}

ol li {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) auto;
  gap: 14px;
  border-bottom: 1px solid var(--hairline);
  padding: 5px 0;
}

.photos {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

.photos img {
  max-height: 160px;
}

@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
    gap: 18px;
  }

  ol li {
    grid-template-columns: 120px minmax(0, 1fr);
  }
}
</style>
