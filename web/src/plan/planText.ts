import type { Plan } from '@ratio/core/batch';
import type { Target, TargetKey } from '@ratio/core/brew';
import { amountText, writeMass, writeVolume, type ShopUnits, percentText } from '@ratio/core/units';
import type { Conflict } from './draft.ts';

const NAMES: Readonly<Record<TargetKey, string>> = {
  doseG: 'the coffee',
  waterG: 'the water',
  ratio: 'the ratio',
  brewMl: 'the brew',
  strengthFrac: 'the strength',
  fillMl: 'the level',
};

/** @returns an amount of a plan in the shop's units */
export function writeTarget({ key, value }: Target, units: ShopUnits): string {
  switch (key) {
    case 'doseG':
    case 'waterG':
      return amountText(writeMass({ massG: value, units }));
    case 'brewMl':
    case 'fillMl':
      return amountText(writeVolume({ volumeMl: value, units }));
    case 'ratio':
      return `1:${value.toFixed(1)}`;
    case 'strengthFrac':
      return percentText(value);
  }
}

const capital = (text: string): string => text[0]!.toUpperCase() + text.slice(1);

/** @returns why an amount cannot be had, and what to do next */
export function solutionSentence({ solution }: Conflict, units: ShopUnits): string {
  if (solution.status === 'too_much') {
    const { of, amountG, mostG } = solution;
    const [amount, most] = [amountG, mostG].map((value) => writeTarget({ key: of, value }, units));
    return `That would take ${amount} for ${NAMES[of]}, and a batch holds ${most} at the most. Ask for less, or split it.`;
  }
  if (solution.status === 'contradiction') {
    const [asked, other] = solution.between;
    const given = writeTarget({ key: other.key, value: solution.given }, units);
    const off = `${percentText(Math.abs(solution.offFrac), 0)} ${solution.offFrac < 0 ? 'less' : 'more'}`;
    return `${capital(NAMES[asked.key])} ${writeTarget(asked, units)} and ${NAMES[other.key]} ${writeTarget(other, units)} contradict each other: the first gives ${given}, ${off}. Free one of the two.`;
  }
  const { key, value } = solution.target;
  const wanted = writeTarget({ key, value }, units);
  const ends = [solution.low, solution.high].map((end) => writeTarget({ key, value: end }, units));
  return `${wanted} cannot be had here: ${NAMES[key]} lies between ${ends.join(' and ')}. Unlock what is set, or ask for less.`;
}

/** @returns a plan in one line, in the shop's units */
export function planText({ doseG, waterG, grind, steep }: Plan, units: ShopUnits): string {
  const coffee = writeTarget({ key: 'doseG', value: doseG }, units);
  const water = writeTarget({ key: 'waterG', value: waterG }, units);
  const places = steep.map(({ hours, place }) => `${hours} h ${place}`).join(', ');
  return `${coffee} ${grind} and ${water}, ${places}`;
}
