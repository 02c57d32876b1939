export { steepPages } from './pages.ts';
