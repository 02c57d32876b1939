export { percentFigure, percentText } from './percent.ts';
export { type Expected, type OwnMeasure, readAmount } from './readAmount.ts';
export { understood } from './understood.ts';
export { celsiusToFahrenheit, convert, type UnitId } from './units.ts';
export {
  amountParts,
  amountText,
  type ShopUnits,
  writeMass,
  writeTemp,
  writeVolume,
} from './writeAmount.ts';
