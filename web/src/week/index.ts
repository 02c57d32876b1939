export { weekPages } from './pages.ts';
