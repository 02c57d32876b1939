export { useSamples } from './samples.ts';
export { samplesPages } from './pages.ts';
