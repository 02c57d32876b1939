export { useDraft } from './draft.ts';
export { useOpenPlan } from './useOpenPlan.ts';
export { planPages } from './pages.ts';
