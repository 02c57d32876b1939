<script setup lang="ts">
import type { Drink, DrinkVersion } from '@ratio/core';
import { ElButton } from 'element-plus';
import { ref, watch } from 'vue';
import { sentenceOf } from '../../api/client.ts';
import { dayName } from '../../clock/formatClock.ts';
import { useMenu } from '../../stores/menu.ts';
import { useShop } from '../../stores/shop.ts';
import type { useWords } from '../../stores/useWords.ts';

/** How a drink was before, and how somebody likes it; any of them can be poured this once. */
const props = defineProps<{ drink: Drink; words: ReturnType<typeof useWords> }>();
const emit = defineEmits<{ take: [drink: DrinkVersion['drink']]; back: [] }>();

const menu = useMenu();
const shelf = useShop();
const versions = ref<DrinkVersion[]>([]);
const state = ref<'loading' | 'ready' | 'failed'>('loading');
const failure = ref('');

watch(
  () => [props.drink.id, props.drink.version],
  async () => {
    state.value = 'loading';
    try {
      versions.value = await menu.versions(props.drink.id);
      state.value = 'ready';
    } catch (error) {
      failure.value = sentenceOf(error);
      state.value = 'failed';
    }
  },
  { immediate: true },
);

const strengthOf = ({ drink: { target } }: DrinkVersion): string => {
  if ('strengthFrac' in target) return props.words.pct(target.strengthFrac);
  if ('parts' in target) return `${target.parts.concentrate} to ${target.parts.fill}`;
  if ('caffeineMg' in target) return `${target.caffeineMg} mg`;
  return props.words.volume(target.concentrateMl);
};
function take({ drink }: DrinkVersion): void {
  emit('take', drink);
  emit('back');
}
</script>

<template>
  <section class="versions" aria-label="How it was">
    <p v-if="state === 'loading'" class="soft">Fetching how it was …</p>
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
        <span class="figures when">{{
          dayName({ at: new Date(version.at), zone: shelf.zone })
        }}</span>
        <span>
          <strong>{{ version.forWhom ? `for ${version.forWhom}` : 'the usual' }}</strong>
          <span class="soft change">{{ version.change }}</span>
        </span>
        <span class="figures">{{ strengthOf(version) }}</span>
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
