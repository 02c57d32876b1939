export { type Change, changeSchema, type Noun, NOUNS } from './change.ts';
export { type Problem, problemSchema } from './problem.ts';
export { authorSchema, idSchema, instantSchema } from './schema.ts';
