<script setup lang="ts">
import { ElButton, ElDialog } from 'element-plus';
import 'element-plus/theme-chalk/el-overlay.css';
import 'element-plus/theme-chalk/el-dialog.css';
import { computed, ref } from 'vue';
import TextField from '../../components/fields/TextField.vue';
import LinkButton from '../../components/fields/LinkButton.vue';
import type { UseUp } from './useUseUp.ts';

/** What has to be used up or thrown away, with the reason. */
defineProps<{ list: readonly UseUp[]; money: (price: number) => string }>();
const emit = defineEmits<{ throw: [one: UseUp, reason: string] }>();

const picked = ref<UseUp | null>(null);
const reason = ref('');
const isOpen = computed({
  get: () => picked.value !== null,
  set: (is: boolean) => void (is || (picked.value = null)),
});
function ask(one: UseUp): void {
  picked.value = one;
  reason.value = one.isPast ? 'past its day' : '';
}
function throwIt(): void {
  if (picked.value && reason.value.trim() !== '') emit('throw', picked.value, reason.value.trim());
  picked.value = null;
}
</script>

<template>
  <section v-if="list.length > 0" aria-labelledby="use-up">
    <h2 id="use-up">Use up or throw away</h2>
    <ul>
      <li v-for="one in list" :key="one.key">
        <b>{{ one.name }}</b>
        <span :class="one.isPast ? 'due' : 'soft'">{{ one.when }}</span>
        <LinkButton class="no-print" @click="ask(one)">throw away</LinkButton>
      </li>
    </ul>
    <ElDialog
      v-model="isOpen"
      :title="`Throw away: ${picked?.name ?? ''}`"
      width="min(420px, 94vw)"
    >
      <div class="why">
        <p v-if="picked?.price != null" class="soft">It had cost {{ money(picked.price) }}.</p>
        <TextField
          label="Why it is thrown away"
          placeholder="past its day, spilt, tasted off"
          :value="reason"
          live
          @change="reason = $event"
        />
        <ElButton type="primary" :disabled="reason.trim() === ''" @click="throwIt"
          >Throw it away</ElButton
        >
      </div>
    </ElDialog>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 4px;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 10px;
  font-size: var(--t13);
}

.why {
  display: grid;
  gap: 14px;
}
</style>
