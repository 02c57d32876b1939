import type { BatchInFull } from '../batch/schema.ts';
import { vesselNameOf } from '../batch/vesselInUse.ts';

/** How amounts and times are written where the text is for. */
export interface BatchTexts {
  readonly mass: (massG: number) => string;
  readonly percent: (frac: number) => string;
  readonly time: (instant: string) => string;
}

/** One thing that is known of a batch, as a page or a text lists it. */
export interface BatchFact {
  readonly name: string;
  readonly text: string;
}

/** @returns what went in, where and when, what was predicted, by which model, and what was found */
export function batchFacts(batch: BatchInFull, texts: BatchTexts): BatchFact[] {
  const { mass, percent, time } = texts;
  const { plan, predicted, predictedAtStrain, model, strengthBy, strengthFrac } = batch;
  const expected = predictedAtStrain ?? predicted;
  const { strengthLowFrac: low, strengthHighFrac: high } = expected;
  const ratio = (plan.waterG / plan.doseG).toFixed(1);
  const isRead = strengthBy === 'reading' && strengthFrac !== null;
  return [
    { name: 'Coffee', text: `${batch.coffeeName}, ${plan.grind}` },
    { name: 'In', text: `${mass(plan.doseG)} and ${mass(plan.waterG)}, 1:${ratio}` },
    { name: 'Vessel', text: vesselNameOf(batch) },
    { name: 'Began', text: time(batch.pouredAt ?? batch.startedAt) },
    { name: 'Strained', text: batch.strainedAt === null ? 'not yet' : time(batch.strainedAt) },
    {
      name: 'Predicted',
      text: `${percent(expected.strengthFrac)} (${percent(low)} to ${percent(high)})`,
    },
    {
      name: 'Predicted by',
      text: model.learned
        ? `the shop’s own model, version ${model.learned.version}`
        : 'the handbook',
    },
    { name: 'Found', text: isRead ? percent(strengthFrac) : 'not read' },
  ];
}

const escaped = (text: string): string => text.replaceAll(/[\\|*_`#<>]/g, (sign) => `\\${sign}`);

/** @returns a batch in Markdown: what it was, and what happened when */
export function batchText(input: {
  batch: BatchInFull;
  rows: readonly { readonly when: string; readonly text: string; readonly by: string }[];
  texts: BatchTexts;
}): string {
  const { batch, rows, texts } = input;
  const happened = rows.map(
    ({ when, text, by }) => `- ${when} ${escaped(text)}${by === '' ? '' : `, ${escaped(by)}`}`,
  );
  return [
    `# ${escaped(batch.coffeeName)}, ${texts.time(batch.startedAt)}`,
    '',
    '| | |',
    '|---|---|',
    ...batchFacts(batch, texts).map(({ name, text }) => `| ${name} | ${escaped(text)} |`),
    ...(happened.length > 0 ? ['', '## What happened', '', ...happened] : []),
    '',
  ].join('\n');
}
