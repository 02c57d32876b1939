<script setup lang="ts">
import NoticeAlert from './NoticeAlert.vue';

/** What just happened, and an undo; a reader hears it, so that its place is there before it. */
defineProps<{
  notice: { text: string; tone: 'done' | 'wrong'; canUndo: boolean } | null;
  /** Above a page’s large buttons. */
  raised?: boolean;
}>();
const emit = defineEmits<{ undo: []; close: [] }>();
</script>

<template>
  <div
    class="holder no-print"
    :class="{ raised }"
    :role="notice?.tone === 'wrong' ? 'alert' : 'status'"
  >
    <NoticeAlert
      v-if="notice"
      :key="notice.text"
      :notice
      @undo="emit('undo')"
      @close="emit('close')"
    />
  </div>
</template>

<style scoped>
.holder {
  position: fixed;
  /* To the left: what is done next stands at the right. */
  inset: auto 0 16px;
  display: flex;
  justify-content: flex-start;
  padding-inline: 24px;
  pointer-events: none;
  z-index: 10;
}

/* On a phone the button of the page stands below. */
@media (max-width: 640px) {
  .holder {
    bottom: 76px;
    padding-inline: 12px;
  }
}

.holder.raised {
  bottom: 130px;
}
</style>
