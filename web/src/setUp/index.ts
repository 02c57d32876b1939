export { setUpPages } from './pages.ts';
