<script setup lang="ts">
import { ElButton } from 'element-plus';

/** A button that writes something; disabled, it says by which field. */
defineProps<{
  /** What the field is called that is not understood; null where all are. */
  refused: string | null;
  primary?: boolean;
  doing?: boolean;
  disabled?: boolean;
  submits?: boolean;
}>();
const emit = defineEmits<{ act: [] }>();
</script>

<template>
  <ElButton
    :type="primary ? 'primary' : 'default'"
    :native-type="submits ? 'submit' : 'button'"
    :loading="doing ?? false"
    :disabled="(disabled ?? false) || refused !== null"
    @click="emit('act')"
  >
    <template v-if="refused === null"><slot /></template>
    <template v-else>Mend “{{ refused }}” first</template>
  </ElButton>
</template>
