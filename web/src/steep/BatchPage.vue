<script setup lang="ts">
import { RouterLink, useRoute, useRouter } from 'vue-router';
import { computed, onMounted, ref, watch } from 'vue';
import BenchPage from './BenchPage.vue';
import { useBatches } from '../events/index.ts';

/** One batch at the bench, by its identity in the address. */
const route = useRoute();
const router = useRouter();
const batches = useBatches();
const id = computed(() => String(route.params['id']));
const batch = computed(() => batches.withId(id.value) ?? batches.inFull.get(id.value));
const isLooking = ref(true);

async function look(): Promise<void> {
  isLooking.value = true;
  await batches.loadInFull(id.value).catch(() => undefined);
  isLooking.value = false;
}
onMounted(look);
watch(id, look);
</script>

<template>
  <!-- Not before it is known what was noted: a wrong step must never stand there. -->
  <BenchPage
    v-if="batch && (batches.inFull.has(id) || !isLooking)"
    :key="batch.id"
    :batch
    @leave="router.push('/steep')"
  />
  <div v-else class="page">
    <h1>{{ isLooking ? 'Fetching the batch …' : 'There is no such batch' }}</h1>
    <p v-if="!isLooking"><RouterLink to="/steep">What steeps now</RouterLink></p>
  </div>
</template>
