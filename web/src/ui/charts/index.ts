import { lazyComponent } from '../lazy/index.ts';

export { default as ChartTable } from './ChartTable.vue';
export { default as DriftChart } from './DriftChart.vue';
export { default as FoundChart } from './FoundChart.vue';
export { default as ProbesChart } from './ProbesChart.vue';
export { default as ReleaseChart } from './ReleaseChart.vue';
export { default as RunningChart } from './RunningChart.vue';
export { default as StrengthScale } from './StrengthScale.vue';
export const StandChart = lazyComponent(() => import('./StandChart.vue'));
