export { useLog } from './log.ts';
export { logPages } from './pages.ts';
