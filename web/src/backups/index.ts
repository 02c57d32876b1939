export { backupsPages } from './pages.ts';
