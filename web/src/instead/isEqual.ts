/** What Element Plus compares values by: the small one of the libraries for it, in the place of the large one. */
export { default } from 'fast-deep-equal/es6/index.js';
