<script setup lang="ts">
import CopiesTable from './CopiesTable.vue';
import { ElButton } from 'element-plus';
import { useArchive } from './useArchive.ts';
import { useBackups } from './useBackups.ts';
import { useShop } from '../shop/index.ts';
import { useOneFile } from '../ui/browser/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';

/** Copies of the whole shop, and the way back to one of them. */
const shop = useShop();
const LISTS = [
  'batches',
  'actuals',
  'jugs',
  'entries',
  'drinks',
  'drink-versions',
  'samples',
  'coffees',
  'vessels',
  'pantry',
  'house-recipes',
  'opened',
] as const;
const { taking, refused, take, stop } = useArchive();
const choose = useOneFile('.zip,application/zip', (file) => void take(file));
const { backups, state, failure, load, busy, restoring, make, restore } = useBackups();
</script>

<template>
  <div class="page narrow">
    <h1>Backups</h1>
    <p class="soft">
      Ratio makes one each day and before each update, and checks it by opening it. This machine
      keeps the last 14 days, and 20 made by hand. Copy one to another machine now and then.
    </p>
    <p>
      <ElButton type="primary" size="large" :loading="busy" @click="make">Make one now</ElButton>
    </p>
    <p v-if="restoring" role="status"><strong>The copy is being taken into use …</strong></p>
    <p v-if="state === 'failed'" class="due" role="alert">
      {{ failure }} <LinkButton @click="load">Try again</LinkButton>
    </p>
    <CopiesTable
      v-else-if="backups.length > 0"
      :backups
      :zone="shop.zone"
      :off="busy || restoring"
      @restore="restore"
    />
    <div v-else-if="state === 'ready'" class="empty">
      <h2>No copy yet</h2>
      <p>The first one of the day is made within ten minutes.</p>
    </div>
    <section v-if="state !== 'loading'" aria-labelledby="archive">
      <h2 id="archive" class="section-head">Everything out and in</h2>
      <p class="soft">
        An archive is for another machine or another program: a zip of JSON Lines with its schema.
        It holds everything except people and how they sign in. Taking one in replaces what is here;
        a copy is made first.
      </p>
      <p class="ways">
        <a class="el-button" href="/api/archive" download="ratio-archive.zip">Take the archive</a>
        <ElButton :loading="taking" @click="choose">Take an archive in …</ElButton>
        <ElButton v-if="taking" text @click="stop">Stop</ElButton>
      </p>
      <p v-if="refused !== ''" class="due" role="alert">{{ refused }}</p>
      <p class="lists">
        <span class="soft">As tables (CSV):</span>
        <a
          v-for="list in LISTS"
          :key="list"
          :href="`/api/export/${list}.csv`"
          :download="`${list}.csv`"
          >{{ list.replace('-', ' ') }}</a
        >
      </p>
    </section>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 16px;
}

.page > p {
  max-width: 44rem;
}

section {
  margin-top: 16px;
}

.ways > :deep(.el-button + .el-button) {
  margin: 0;
}

.ways,
.lists {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  padding-top: 12px;
}
</style>
