import { lazyComponent } from '../ui/lazy/index.ts';

export { peoplePages } from './pages.ts';
export const SignInPage = lazyComponent(() => import('./SignInPage.vue'));
