import type { BatchInFull } from '../batch/schema.ts';

/** How amounts and times are written where the text is for. */
export interface BatchTexts {
  readonly mass: (massG: number) => string;
  readonly percent: (frac: number) => string;
  readonly time: (instant: string) => string;
}

/** @returns a batch in Markdown: what went in, what was predicted, what was found, what happened when */
export function batchText(input: {
  batch: BatchInFull;
  rows: readonly { readonly when: string; readonly text: string; readonly by: string }[];
  texts: BatchTexts;
}): string {
  const { batch, rows, texts } = input;
  const { mass, percent, time } = texts;
  const { plan, predicted, predictedAtStrain } = batch;
  const expected = predictedAtStrain ?? predicted;
  const { strengthLowFrac: low, strengthHighFrac: high } = expected;
  const isRead = batch.strengthBy === 'reading' && batch.strengthFrac !== null;
  const facts: readonly (readonly [string, string])[] = [
    ['Coffee', `${batch.coffeeName}, ${plan.grind}`],
    [
      'In',
      `${mass(plan.doseG)} and ${mass(plan.waterG)}, 1:${(plan.waterG / plan.doseG).toFixed(1)}`,
    ],
    ['Vessel', batch.movedTo?.vesselName ?? batch.vesselName],
    ['Began', time(batch.pouredAt ?? batch.startedAt)],
    ['Strained', batch.strainedAt === null ? 'not yet' : time(batch.strainedAt)],
    ['Predicted', `${percent(expected.strengthFrac)} (${percent(low)} to ${percent(high)})`],
    ['Found', isRead ? percent(batch.strengthFrac!) : 'not read'],
    [
      'Predicted by',
      batch.model.learned
        ? `the shop’s own model, version ${batch.model.learned.version}`
        : 'the handbook',
    ],
  ];
  const escaped = (text: string): string => text.replaceAll(/[\\|*_`#<>]/g, (sign) => `\\${sign}`);
  return [
    `# ${escaped(batch.coffeeName)}, ${time(batch.startedAt)}`,
    '',
    '| | |',
    '|---|---|',
    ...facts.map(([name, text]) => `| ${name} | ${escaped(text)} |`),
    ...(rows.length > 0
      ? [
          '',
          '## What happened',
          '',
          ...rows.map(
            ({ when, text, by }) =>
              `- ${when} ${escaped(text)}${by === '' ? '' : `, ${escaped(by)}`}`,
          ),
        ]
      : []),
    '',
  ].join('\n');
}
