export { shelfPages } from './pages.ts';
