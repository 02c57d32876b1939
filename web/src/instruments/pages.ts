import type { Page } from '../ui/browser/index.ts';

export const instrumentsPages: readonly Page[] = [
  { path: '/shelf/instruments', load: () => import('./InstrumentsPage.vue'), title: 'Instruments' },
];
