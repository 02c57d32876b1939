export { averageReadings, brixAt20, readingWarnings, strengthOfBrix } from './brix.ts';
export { calibrated, calibrationOf } from './calibrated.ts';
export { INSTRUMENT_KINDS, type InstrumentKind } from './kinds.ts';
export { ASKS, createLineCutter, type Line, readLine } from './lineProtocol.ts';
export {
  type Instrument,
  type InstrumentActRequest,
  instrumentActRequest,
  instrumentSchema,
  type InstrumentState,
  instrumentStateSchema,
  type Sample,
  sampleSchema,
} from './schema.ts';
export {
  createSimulatedProbe,
  createSimulatedRefractometer,
  createSimulatedScale,
  hiddenModel,
} from './simulate.ts';
export { type Found, foundAt } from './standIn.ts';
export { createSteadiness } from './steadiness.ts';
