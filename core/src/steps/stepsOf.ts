import type { Plan } from '../batch/schema.ts';
import type { ShopStep } from '../shop/stepsSchema.ts';
import {
  PHASES,
  STEP_TEMPLATES,
  type Phase,
  type StepNote,
  type StepTemplate,
} from './templates.ts';

/** One step of a batch, with its amount and its time. */
export interface Step {
  /** Its own in the batch, as `agitate-2`. */
  readonly key: string;
  readonly phase: Phase;
  readonly title: string;
  readonly watch: string;
  readonly note: StepNote;
  readonly button: string;
  /** The shop's own photograph of how it is done; null for none. */
  readonly photoId: string | null;
  /** How much, g; null where it has no amount. */
  readonly amountG: number | null;
  /** How long it takes by itself, s; 0 where it waits for nobody. */
  readonly waitS: number;
  /** When it is to be done, s from the first pour; null where it comes after the step before. */
  readonly atS: number | null;
  /** Where it goes, of a move. */
  readonly place: Plan['steep'][number] | null;
}

const byKey = new Map(STEP_TEMPLATES.map((template) => [template.key, template]));

/**
 * The steps of a batch in order: those that its school, filtration and wetting have, in the words and the
 * order of the shop.
 *
 * @param input.shopSteps as the shop has them; usual steps that it does not name stay where they are
 *   between their neighbours
 */
export function stepsOf(input: { plan: Plan; shopSteps?: readonly ShopStep[] }): Step[] {
  const { plan, shopSteps = [] } = input;
  const steps = tableOf(shopSteps).flatMap(({ template, words }) => {
    if (words?.leftOut || template.when?.(plan) === false) return [];
    const times = template.atHours?.(plan) ?? [null];
    return times.map((hours, i): Step => ({
      key: times.length > 1 || i > 0 ? `${template.key}-${i + 1}` : template.key,
      phase: template.phase,
      title: words?.title || template.title,
      watch: words?.watch || template.watch,
      note: template.note,
      button: template.button,
      photoId: words?.photoId ?? null,
      amountG: template.amountG?.(plan) ?? null,
      waitS: 60 * (words?.waitMinutes ?? template.waitMinutes ?? 0),
      atS: hours === null ? null : hours * 3600,
      place: template.key === 'move' ? (plan.steep[i + 1] ?? null) : null,
    }));
  });
  // What has its hour in the steep comes by that hour.
  return PHASES.flatMap((phase) => {
    const of = steps.filter((step) => step.phase === phase);
    return phase === 'steep' ? of.toSorted((a, b) => (a.atS ?? 0) - (b.atS ?? 0)) : of;
  });
}

/** A row of the shop's table of steps. */
export interface StepRow {
  readonly template: StepTemplate;
  /** The shop's own words for it; undefined where it has none. */
  readonly words: ShopStep | undefined;
}

/**
 * The table of steps as the shop has it.
 *
 * @returns every usual step and the shop's own, in the shop's order
 */
export function tableOf(shopSteps: readonly ShopStep[]): StepRow[] {
  const named = shopSteps.map((words, i): StepRow => ({
    words,
    template: byKey.get(words.key) ?? ownTemplate(words, phaseBefore(shopSteps, i)),
  }));
  const rows = [...named];
  STEP_TEMPLATES.forEach((template, i) => {
    if (rows.some((row) => row.template.key === template.key)) return;
    const before = STEP_TEMPLATES.slice(0, i).map(({ key }) => key);
    const at = rows.findLastIndex((row) => before.includes(row.template.key));
    rows.splice(at + 1, 0, { template, words: undefined });
  });
  return rows;
}

/** A step of the shop's own belongs to the phase of the usual one before it. */
function phaseBefore(shopSteps: readonly ShopStep[], i: number): Phase {
  const before = shopSteps.slice(0, i).findLast(({ key }) => byKey.has(key));
  return before ? byKey.get(before.key)!.phase : 'prepare';
}

const ownTemplate = ({ key }: ShopStep, phase: Phase): StepTemplate => ({
  key,
  phase,
  title: 'A step of your own',
  watch: '',
  note: 'done',
  button: 'Done',
});
