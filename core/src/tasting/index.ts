export { BLIND_KINDS, type BlindKind } from './blindKinds.ts';
export { blindPlan } from './blindPlan.ts';
export { evaluateBlind, leastRight, powerFrac, type BlindResult } from './evaluate.ts';
export {
  type BlindTest,
  blindTestSchema,
  type Serving,
  tastingRequest,
  type TastingRequest,
  tastingSchema,
  type Tasting,
} from './schema.ts';
export { type Scale, SCALE_NAMES, SCALES } from './scales.ts';
