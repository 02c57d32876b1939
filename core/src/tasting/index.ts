export { blindPlan } from './blindPlan.ts';
export { evaluateBlind, leastRight, powerFrac, type BlindResult } from './evaluate.ts';
export {
  BLIND_KINDS,
  type BlindKind,
  type BlindTest,
  blindTestSchema,
  type Scale,
  SCALE_NAMES,
  SCALES,
  type Serving,
  tastingRequest,
  type TastingRequest,
  tastingSchema,
  type Tasting,
} from './schema.ts';
