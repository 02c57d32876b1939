<script setup lang="ts">
import { ElButton } from 'element-plus';
import { useRefused } from './refusals.ts';

/** A button that writes something; as long as a field around it is refused, it is disabled and names it. */
defineProps<{
  primary?: boolean;
  doing?: boolean;
  disabled?: boolean;
}>();
const emit = defineEmits<{ act: [] }>();
/** What the first field around is called that is not understood. */
const refused = useRefused();
</script>

<template>
  <ElButton
    :type="primary ? 'primary' : 'default'"
    native-type="button"
    :loading="doing ?? false"
    :disabled="(disabled ?? false) || refused !== null"
    @click="emit('act')"
  >
    <template v-if="refused === null"><slot /></template>
    <template v-else>Mend “{{ refused }}” first</template>
  </ElButton>
</template>
