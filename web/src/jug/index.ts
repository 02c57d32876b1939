export { jugPages } from './pages.ts';
