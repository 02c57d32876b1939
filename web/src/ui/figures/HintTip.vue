<script setup lang="ts">
import { ElTooltip } from 'element-plus';
import 'element-plus/theme-chalk/el-popper.css';

/** What a text says more, beside it. */
defineProps<{ text: HTMLElement; hint: string; open: boolean }>();
</script>

<template>
  <ElTooltip virtual-triggering :virtual-ref="text" :visible="open" :content="hint" />
</template>
