export { observationText } from './observationText.ts';
export { addressReader, numberFrom, oneOf } from './addressReader.ts';
export { amountFormat, type AmountFormat } from './amountFormat.ts';
export {
  OPENED_DAYS,
  STRENGTH,
  hoursKind,
  inUsual,
  largeVolumeKind,
  massKind,
  measuredKind,
  numberKind,
  partsKind,
  percentKind,
  pouredKind,
  priceKind,
  pricePerMassKind,
  ratioKind,
  tempKind,
  volumeKind,
  type AmountKind,
} from './amountKind.ts';
export { authorOf } from './authorOf.ts';
export { cssColour } from './colour.ts';
export { costText } from './costText.ts';
export { countText } from './countText.ts';
export { cutText } from './cutText.ts';
export {
  clockStyle,
  clockTime,
  dateAndTime,
  dateName,
  dayName,
  duration,
  fromNow,
  hourMark,
  hourTime,
  minutesAndSeconds,
  readClockAs,
  soonTime,
  timeOfDay,
} from './formatClock.ts';
export { alsoIn, alsoResultIn, inUnits } from './inUnits.ts';
export { jugOption } from './jugOption.ts';
export { listText } from './listText.ts';
export { READ_BY } from './readBy.ts';
export { amountRow, pickRow, textRow, type FieldRow } from './fieldRow.ts';
