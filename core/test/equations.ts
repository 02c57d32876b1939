import { expect } from 'chai';
import { evaluate } from 'mathjs';

const UNITS = /\s?(?:mg\/g|g\/s|mg|kg|mL|kcal|g|L|°C|J|W|per kg|per L)(?!\w)/g;

/** A printed number, and half of its last digit: how far it may be from what was computed. */
interface Printed {
  readonly value: number;
  readonly half: number;
}
const printed = (text: string, isResult: boolean): Printed => {
  const decimals = /\.(\d+)/.exec(text)?.[1]?.length ?? 0;
  // Small whole numbers are constants, and not rounded.
  if (!isResult && decimals === 0 && Number(text) < 10) return { value: Number(text), half: 0 };
  return { value: Number(text), half: 0.5 * 10 ** -decimals };
};

/**
 * Checks every equation of a text as somebody with a calculator would: the left side worked out from
 * the printed numbers comes to the printed right side, as far as their last digits allow.
 *
 * @param text equations parted by ";" or ":"; "a = b = c" is two of them; what holds no "=" is prose
 * @returns how many equations were checked
 */
export function checkEquations(text: string, what: string): number {
  let checked = 0;
  for (const sentence of text.split(/[;:]\s/)) {
    const sides = sentence.split('=').map((side) => side.trim());
    for (let i = 0; i + 1 < sides.length; i++) {
      checkEquation(sides[i]!, sides[i + 1]!, `${what}: ${sentence}`);
      checked += 1;
    }
  }
  return checked;
}

function checkEquation(left: string, right: string, what: string): void {
  const numbers: Printed[] = [];
  // Each number becomes a variable, so that its last digit can be moved.
  const asFormula = (side: string, isResult: boolean): string =>
    side
      .replaceAll('−', '-')
      .replaceAll('·', '*')
      .replace(UNITS, ' ')
      .replace(/\d+(?:\.\d+)?(?:e[+-]?\d+)?/g, (digits) => {
        numbers.push(printed(digits, isResult));
        return `x${numbers.length - 1}`;
      })
      .replace(/(x\d+)\s*%/g, '($1/100)');
  const formula = `(${asFormula(left, false)}) - (${asFormula(right, !/[·+/]/.test(right))})`;
  expect(formula, what).to.match(/^[\sx\d()+*/,.-]|min|max/);
  const differenceWith = (values: readonly number[]): number =>
    Number(evaluate(formula, Object.fromEntries(values.map((value, i) => [`x${i}`, value]))));
  const values = numbers.map(({ value }) => value);
  const off = differenceWith(values);
  const slack = numbers.reduce((sum, { half }, i) => {
    const moved = differenceWith(values.with(i, values[i]! + half));
    return sum + Math.abs(moved - off);
  }, 0);
  expect(Math.abs(off), `${what}: off by ${off}`).to.be.at.most(slack * 1.01 + 1e-12);
}
