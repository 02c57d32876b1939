<script setup lang="ts">
import { ElButton } from 'element-plus';
import LockIcon from '~icons/lucide/lock';
import OpenIcon from '~icons/lucide/lock-open';

/** Locks one of the amounts that fix each other; says which are set and which are calculated. */
defineProps<{ what: string; locked: boolean; set: boolean }>();
const emit = defineEmits<{ lock: [] }>();
</script>

<template>
  <ElButton
    link
    native-type="button"
    class="plain"
    :class="{ locked }"
    :icon="locked ? LockIcon : OpenIcon"
    :aria-pressed="locked"
    :aria-label="`Lock the ${what}`"
    @click="emit('lock')"
  >
    {{ locked ? 'Locked' : set ? 'Set' : 'Calculated' }}
  </ElButton>
</template>

<style scoped>
.locked {
  color: var(--action);
  font-weight: 700;
}
</style>
