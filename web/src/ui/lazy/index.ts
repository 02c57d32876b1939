export { lazyComponent } from './lazyComponent.ts';
