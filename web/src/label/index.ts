export { labelPages } from './pages.ts';
