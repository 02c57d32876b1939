export { type Problem, problemSchema } from './problem.ts';
export { idSchema } from './schema.ts';
