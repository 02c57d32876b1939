<script setup lang="ts">
import type { DrinkVersion } from '@ratio/core/drink';
import { ElButton } from 'element-plus';
import type { VersionRow } from './useDrinkVersions.ts';

/** What a drink was before, and how somebody likes it; any of them can be poured this once. */
defineProps<{
  versions: readonly VersionRow[];
  state: 'loading' | 'ready' | 'failed';
  failure: string;
}>();
const emit = defineEmits<{ take: [drink: DrinkVersion['drink']]; back: [] }>();

function take({ drink }: VersionRow): void {
  emit('take', drink);
  emit('back');
}
</script>

<template>
  <section class="versions" aria-label="History">
    <p v-if="state === 'loading'" class="soft">Fetching its history …</p>
    <p v-else-if="state === 'failed'" role="alert" class="due">{{ failure }}</p>
    <div v-else-if="versions.length === 0" class="empty">
      <h2>Nothing has changed yet</h2>
      <p>
        Make it weaker, stronger, drier, sweeter or milkier, and keep it: as the usual, or for
        somebody. Each is then listed here, and can be poured again.
      </p>
    </div>
    <ol v-else>
      <li v-for="version in versions" :key="version.id">
        <span class="figures when">{{ version.day }}</span>
        <span>
          <strong>{{ version.whose }}</strong>
          <span class="soft change">{{ version.change }}</span>
        </span>
        <span class="figures">{{ version.target }}</span>
        <ElButton @click="take(version)">Take this one</ElButton>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.versions {
  padding: 12px 24px;
}

li {
  display: grid;
  grid-template-columns: 5rem 1fr auto auto;
  align-items: center;
  gap: 12px;
  border-bottom: 1px solid var(--hairline);
  padding: 8px 0;
}

.when {
  font-size: var(--t13);
}

.change {
  display: block;
  font-size: var(--t13);
}
</style>
