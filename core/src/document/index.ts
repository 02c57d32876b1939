export { type Change, changeSchema } from './change.ts';
export { derivedId } from './derivedId.ts';
export { isEqual } from './isEqual.ts';
export { type Noun, NOUNS } from './nouns.ts';
export { type Problem, problemSchema } from './problem.ts';
export { authorSchema, idSchema, instantSchema } from './schema.ts';
