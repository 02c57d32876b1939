<script setup lang="ts">
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import LockIcon from '~icons/lucide/lock';
import OpenIcon from '~icons/lucide/lock-open';

/** Locks one of the amounts that fix each other; says which are set and which are calculated. */
const props = defineProps<{ what: string; locked: boolean; set: boolean }>();
const emit = defineEmits<{ lock: [] }>();
const state = computed(() => (props.locked ? 'Locked' : props.set ? 'Set' : 'Calculated'));
</script>

<template>
  <ElButton
    link
    native-type="button"
    class="plain"
    :class="{ locked }"
    :icon="locked ? LockIcon : OpenIcon"
    :aria-pressed="locked"
    :aria-label="`${state}. Lock the ${what}`"
    @click="emit('lock')"
  >
    {{ state }}
  </ElButton>
</template>

<style scoped>
.locked {
  color: var(--action);
  font-weight: 700;
}
</style>
