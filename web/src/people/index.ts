export { loadSignIn, peoplePages } from './pages.ts';
