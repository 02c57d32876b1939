import {
  NOTHING_NOTED,
  planInput,
  predictStrain,
  startedBatch,
  type Batch,
  type ObservationRow,
  type Plan,
} from '@ratio/core/batch';
import {
  brew,
  jarOf,
  NO_DEVIATION,
  slurryStrengthFrac,
  type BrewInput,
  type BrewModel,
} from '@ratio/core/brew';
import { dateAfter, instantOf } from '@ratio/core/calendar';
import { drinkRequest, fromJugG, solveRequest } from '@ratio/core/drink';
import { createRandom } from '@ratio/core/numeric';
import { resolvePantry } from '@ratio/core/pantry';
import {
  lidoCoffees,
  lidoDrinks,
  lidoHouseRecipes,
  lidoPantry,
  lidoShop,
  lidoVessels,
} from './lido.ts';

/** The lido's season before the demo's morning: two months of batches and pours that nobody noted by hand. */
export interface Season {
  readonly batches: readonly (Batch & { readonly author: string })[];
  readonly observations: readonly ObservationRow[];
  readonly jugs: readonly SeasonJug[];
}

/** A jug as it was filled, and what was taken from it until it was empty. */
export interface SeasonJug {
  readonly id: string;
  readonly label: string;
  readonly batch: Batch;
  readonly massG: number;
  readonly madeAt: string;
  readonly rows: readonly {
    readonly kind: 'poured' | 'discarded';
    readonly massG: number;
    readonly note: string;
    readonly at: string;
    readonly author: string;
  }[];
}

const FROM = '2026-04-14';
const DAYS = 60;
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const { zone } = lidoShop;
/** Drinks of each weekday, Monday to Sunday, and of each hour from opening. */
const LEVELS = [34, 36, 38, 44, 58, 86, 74];
const HOURS = [3, 6, 8, 7, 8, 10, 9, 8, 6, 4, 2, 1];

/**
 * What the lido's coffee and bench really are, which nobody told the model: a log can learn it. One bag of
 * Lot 17 was bad, the fridge was warm for three days, and the mill was set wrong for a week.
 */
const SEASON_TRUTH = {
  rateTimes: 1.2,
  retainedMoreG: 0.15,
  yieldTimes: { 'lot-14': 1.04, 'lot-9': 0.96, 'lot-17': 1.01 } as Readonly<Record<string, number>>,
  badBag: { coffeeId: 'lot-17', from: '2026-05-05', to: '2026-05-11', yieldTimes: 0.84 },
  warmFridge: { from: '2026-05-19', to: '2026-05-21', tempC: 9.5 },
  wrongMill: { from: '2026-05-25', to: '2026-05-31', diameterTimes: 1.35 },
} as const;

const isIn = (date: string, span: { from: string; to: string }): boolean =>
  date >= span.from && date <= span.to;
const at = (date: string, hours: number): number =>
  instantOf({ local: `${date}T00:00`, zone })! + hours * HOUR_MS;
const iso = (ms: number): string => new Date(Math.round(ms / 1000) * 1000).toISOString();

const { pantry } = resolvePantry({
  own: lidoPantry.map((item) => ({ ...item, version: 1 })),
  houseRecipes: lidoHouseRecipes.map((recipe) => ({ ...recipe, version: 1 })),
});
/** What each drink takes of a concentrate of 1 %, g, and how often it is asked for. */
const MENU = lidoDrinks
  .filter(({ id, weekCount }) => weekCount > 0 && id !== 'deck-jug' && id !== 'deep-end')
  .map((drink) => {
    const jug = { strengthFrac: 0.036, caffeineMgPerG: 2 };
    const solved = solveRequest(
      drinkRequest({ drink: { ...drink, version: 1 }, jug, shop: lidoShop }),
      pantry,
    );
    const eachG = fromJugG({ drink: solved.input, solution: solved.solution });
    return { name: drink.name, solidsG: 0.036 * eachG, often: drink.weekCount };
  });

/** @returns the season, the same each time */
export function lidoSeason(): Season {
  const random = createRandom(1406);
  const between = (low: number, high: number): number => low + (high - low) * random.uniform();
  const batches: Season['batches'][number][] = [];
  const observations: ObservationRow[] = [];
  const jugs: (SeasonJug & { leftG: number; rows: SeasonJug['rows'][number][] })[] = [];
  const steeping: { batch: Batch; date: string; trueModel: BrewModel }[] = [];
  let count = 0;

  function noted(
    batch: Batch,
    kind: ObservationRow['kind'],
    atMs: number,
    more: Partial<ObservationRow>,
  ): void {
    const id = `${batch.id}-${kind}-${observations.length}`;
    const author = Number(iso(atMs).slice(11, 13)) < 13 ? 'Early shift' : 'Late shift';
    observations.push({
      ...NOTHING_NOTED,
      id,
      batchId: batch.id,
      kind,
      at: iso(atMs),
      author,
      ...more,
    });
  }

  function start(date: string): void {
    const coffee = lidoCoffees[[0, 1, 0, 2, 1][count % 5]!]!;
    const vessel = lidoVessels[1 + (count % 2)]!;
    count += 1;
    const hours = [18, 18, 17, 19][count % 4]!;
    const dose = 100 * Math.round(between(8.2, 9.2));
    const plan: Plan = {
      coffeeId: coffee.id,
      vesselId: vessel.id,
      grind: coffee.id === 'lot-17' && count % 3 === 0 ? 'medium-coarse' : 'coarse',
      doseG: dose,
      waterG: 5 * dose,
      waterC: 12,
      wetting: 'stages',
      steep: [{ place: 'fridge', tempC: lidoShop.fridgeC, hours }],
      agitationHours: [],
      bed: 'loose',
      filtration: { method: 'drain', rinseG: 0 },
    };
    const startedMs = at(date, between(13.4, 14.4));
    const { batch } = startedBatch({
      plan,
      coffee: { ...coffee, version: 1 },
      vessel: { ...jarOf({ ...vessel, version: 1 }), ...vessel, version: 1 },
      startedAt: new Date(iso(startedMs)),
    });
    const whole: Batch = { ...batch, id: `season-${count}`, version: 2 };
    const { badBag, rateTimes, retainedMoreG, yieldTimes } = SEASON_TRUTH;
    const isBad = coffee.id === badBag.coffeeId && isIn(date, badBag);
    const trueModel: BrewModel = {
      ...whole.model,
      equilibriumYieldFrac:
        whole.model.equilibriumYieldFrac * yieldTimes[coffee.id]! * (isBad ? badBag.yieldTimes : 1),
      diffusivity22M2PerS: whole.model.diffusivity22M2PerS * rateTimes,
      retainedGPerG: {
        ...whole.model.retainedGPerG,
        drain: whole.model.retainedGPerG.drain + retainedMoreG,
      },
    };
    noted(whole, 'weighed', startedMs, { massG: dose + Math.round(between(-4, 4)), step: 'weigh' });
    const half = Math.round(plan.waterG / 2);
    noted(whole, 'poured', startedMs, { massG: half, tempC: 12, step: 'bloom' });
    noted(whole, 'poured', startedMs + 180_000, {
      massG: plan.waterG - half + Math.round(between(-25, 25)),
      tempC: 12,
      step: 'top-up',
    });
    if (isIn(date, SEASON_TRUTH.warmFridge))
      for (const after of [6, 14])
        noted(whole, 'temperature', startedMs + after * HOUR_MS, {
          tempC: Math.round(10 * (SEASON_TRUTH.warmFridge.tempC + between(-0.4, 0.4))) / 10,
        });
    steeping.push({ batch: whole, date, trueModel });
  }

  function strain({ batch, date, trueModel }: (typeof steeping)[number]): void {
    const endMs = Date.parse(batch.endsAt) + between(-0.2, 0.9) * HOUR_MS;
    const own = observations.filter(({ batchId }) => batchId === batch.id);
    const steepS = (endMs - Date.parse(batch.startedAt)) / 1000;
    const { warmFridge, wrongMill } = SEASON_TRUTH;
    const tempC = isIn(date, warmFridge) ? warmFridge.tempC : 4 + between(-0.6, 0.6);
    const steep = batch.plan.steep.map((piece) => ({ ...piece, tempC }));
    const weighed = own.find(({ kind }) => kind === 'weighed')!.massG!;
    const poured = own.reduce((sum, row) => sum + (row.kind === 'poured' ? row.massG! : 0), 0);
    const input: BrewInput = {
      ...planInput({ ...batch.plan, steep, doseG: weighed, waterG: poured }),
      steepS,
      ...(isIn(date, wrongMill)
        ? { deviation: { ...NO_DEVIATION, diameterTimes: wrongMill.diameterTimes } }
        : {}),
    };
    const isDrawn = random.uniform() < 0.25;
    // Nobody looked into a jar in the week in which the mill was wrong.
    if (isDrawn && !isIn(date, wrongMill)) {
      const readMs = Date.parse(batch.startedAt) + between(4, 8) * HOUR_MS;
      const drawn = slurryStrengthFrac(
        { ...input, steepS: (readMs - Date.parse(batch.startedAt)) / 1000 },
        trueModel,
      );
      noted(batch, 'read', readMs, {
        strengthFrac: rounded(drawn * (1 + 0.012 * random.normal())),
      });
    }
    const truth = brew(input, trueModel);
    const isRead = random.uniform() < 0.85;
    const read = rounded(truth.strengthFrac * (1 + 0.01 * random.normal()));
    const massG = 10 * Math.round((truth.brewG + 15 * random.normal()) / 10);
    const predicted = predictStrain({ batch, observations: own, strainedAt: iso(endMs) });
    noted(batch, 'strained', endMs, { massG, step: 'strain' });
    if (isRead) noted(batch, 'read', endMs + 600_000, { strengthFrac: read, step: 'read' });
    noted(batch, 'done', endMs + 1_200_000, { step: 'clean' });
    const label = `Jug ${1 + (count % 4)}`;
    const done: Batch = {
      ...batch,
      status: 'strained',
      needsCleaning: true,
      cleanedAt: iso(endMs + 1_200_000),
      strainedAt: iso(endMs),
      strengthFrac: isRead ? read : predicted.strengthFrac,
      strengthBy: isRead ? 'reading' : 'prediction',
      predictedAtStrain: predicted,
      strain: {
        jugs: [{ jugId: `${batch.id}-jug`, label, massG }],
        strainedAt: iso(endMs),
        ...(isRead ? { strengthFrac: read } : {}),
      },
    };
    batches.push({ ...done, author: 'Early shift' });
    jugs.push({
      id: `${batch.id}-jug`,
      label,
      batch: done,
      massG,
      madeAt: iso(endMs),
      leftG: massG,
      rows: [],
    });
  }

  function take(
    jug: (typeof jugs)[number],
    row: Omit<SeasonJug['rows'][number], 'author' | 'at'>,
    atMs: number,
  ): void {
    jug.leftG -= row.massG;
    const author = atMs % DAY_MS < 13 * HOUR_MS ? 'Early shift' : 'Late shift';
    jug.rows.push({ ...row, at: iso(atMs), author });
  }

  /** One drink out of the oldest jug that holds enough; what is left of one is thrown away. */
  function pour(atMs: number): void {
    let pick = random.uniform() * MENU.reduce((sum, { often }) => sum + often, 0);
    const drink = MENU.find(({ often }) => (pick -= often) < 0) ?? MENU[0]!;
    for (const jug of jugs.filter(({ leftG, madeAt }) => leftG > 0 && Date.parse(madeAt) <= atMs)) {
      const massG = Math.round(drink.solidsG / jug.batch.strengthFrac!);
      if (atMs - Date.parse(jug.madeAt) > 6.5 * DAY_MS)
        take(jug, { kind: 'discarded', massG: jug.leftG, note: 'past its date' }, atMs);
      else if (jug.leftG < massG)
        take(jug, { kind: 'discarded', massG: jug.leftG, note: 'the last of it' }, atMs);
      else return take(jug, { kind: 'poured', massG, note: drink.name }, atMs);
    }
  }

  for (let day = 0; day < DAYS; day++) {
    const date = dateAfter(FROM, day);
    const weekday = (new Date(`${date}T12:00:00Z`).getUTCDay() + 6) % 7;
    // Strained in the morning of the day.
    for (const one of steeping.splice(0, steeping.length)) strain(one);
    const rising = 1 + (0.35 * day) / DAYS;
    const drinks = LEVELS[weekday]! * rising * Math.max(0.4, 1 + 0.15 * random.normal());
    const moments = HOURS.flatMap((share, hour) => {
      const expected = (drinks * share) / HOURS.reduce((sum, one) => sum + one, 0);
      const many = Math.max(0, Math.round(expected + Math.sqrt(expected) * random.normal()));
      return Array.from({ length: many }, () => at(date, 8 + hour + random.uniform()));
    }).toSorted((a, b) => a - b);
    moments.forEach(pour);
    const leftG = jugs.reduce((sum, jug) => sum + jug.leftG, 0);
    // So much that two days are covered; nothing is left steeping on the last one.
    const needG = drinks * 2 * 105;
    if (day < DAYS - 1) for (let i = 0; i < 2 && leftG + 2500 * i < needG; i++) start(date);
  }
  const endMs = at(dateAfter(FROM, DAYS - 1), 20.4);
  for (const jug of jugs)
    if (jug.leftG > 0)
      take(jug, { kind: 'discarded', massG: jug.leftG, note: 'closing count' }, endMs);
  return { batches, observations, jugs };
}

const rounded = (frac: number): number => Math.round(frac * 1e4) / 1e4;
