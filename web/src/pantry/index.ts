export { usePantry } from './pantry.ts';
export { usePantryDocuments } from './pantryDocuments.ts';
export { useOpened } from './useOpened.ts';
export { pantryPages } from './pages.ts';
