import type { ObservationRow } from '@ratio/core/batch';
import type { Step } from '@ratio/core/steps';
import { clockTime } from './formatClock.ts';
import type { AmountFormat } from './amountFormat.ts';
import { listText } from './listText.ts';

/** What a row names by its identity, and how a page writes. */
interface ObservationNames {
  readonly format: AmountFormat;
  readonly zone: string;
  /** @returns what a vessel is called */
  readonly vesselOf: (id: string | null) => string;
  /** @returns a step by its key, in the words of the shop; undefined where the batch has no such step */
  readonly stepOf: (key: string | null) => Pick<Step, 'title' | 'button'> | undefined;
}

/** @returns what was noted of a batch, in words: "poured 2.00 kg at 12 °C" */
export function observationText(row: ObservationRow, names: ObservationNames): string {
  const text = withoutNote(row, names);
  if (row.note === '') return text;
  return text === '' ? row.note : `${text}: ${row.note}`;
}

const DONE = 'Done';
/** A step that the batch has no more, by its key. */
const wordsOf = (key: string | null): string => key?.replaceAll('-', ' ') ?? 'done';

function withoutNote(row: ObservationRow, names: ObservationNames): string {
  const { kind, massG, tempC, strengthFrac, place, vesselId, shareFrac, step } = row;
  const { format, zone, vesselOf, stepOf } = names;
  switch (kind) {
    case 'agitated':
      return 'stirred';
    case 'temperature':
      return `${format.temp(tempC ?? 0)} inside`;
    case 'moved':
      return place === 'fridge' ? 'put into the fridge' : 'put on the counter';
    case 'decanted':
      return `into ${vesselOf(vesselId)}`;
    case 'split-off':
      return `${format.percent(shareFrac ?? 0, 0)} of it into ${vesselOf(vesselId)}`;
    case 'spilled':
      return `spilt ${format.mass(massG ?? 0)}`;
    case 'abandoned':
      return 'given up';
    case 'strain-moved':
      return `strain moved to ${clockTime({ at: new Date(row.until ?? row.at), zone })}`;
    case 'remarked':
      return '';
    case 'weighed':
    case 'poured':
    case 'rinsed':
    case 'came-out':
    case 'read':
    case 'strained':
      return listText(
        [
          kind.replace('-', ' '),
          massG === null ? '' : format.mass(massG),
          strengthFrac === null ? '' : format.percent(strengthFrac),
          tempC === null ? '' : `at ${format.temp(tempC)}`,
        ],
        ' ',
      );
    case 'done': {
      const { title = wordsOf(step), button = DONE } = stepOf(step) ?? {};
      // What the button said is how it was done; a step of the shop's own has no word for it.
      return button === DONE ? title : `${button.charAt(0).toLowerCase()}${button.slice(1)}`;
    }
    case 'skipped':
      return `left out: ${stepOf(step)?.title ?? wordsOf(step)}`;
    case 'undone':
      return kind;
  }
}
