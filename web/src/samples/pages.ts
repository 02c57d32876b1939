import type { Page } from '../ui/browser/index.ts';

export const samplesPages: readonly Page[] = [
  {
    path: '/plan/samples',
    load: () => import('./SamplesPage.vue'),
    title: 'Small jars',
    least: 'brews',
  },
];
