export { explainPlan } from '@ratio/core/batch';
