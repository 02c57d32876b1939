import { lazyComponent } from '../lazy/index.ts';

export { default as DataTable } from './DataTable.vue';
export type { DataColumn } from './dataColumn.ts';
export const LazyDataTable = lazyComponent(() => import('./DataTable.vue'));
