import type { Page } from '../ui/browser/index.ts';

export const backupsPages: readonly Page[] = [
  {
    path: '/shelf/backups',
    load: () => import('./BackupsPage.vue'),
    title: 'Backups',
    least: 'leads',
  },
];
