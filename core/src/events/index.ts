export { decide, type ShopEvent } from './decide.ts';
export { type Decision, type EventContext, type Refusal, type RefusalCode } from './decision.ts';
export { filledJug, useByOf } from './filledJug.ts';
export { entryOf } from './ledgerEntry.ts';
export { isStillToCome, STILL_TO_COME } from './moment.ts';
export { drawnOffG, jugAt, onGroundsId } from './onGrounds.ts';
export { reachesOther } from './recalculated.ts';
export { EMPTY_STATE, type EventRows, type EventState, withRows } from './state.ts';
export { predictedStrain } from './strain.ts';
