export { createRandom } from './random.ts';
