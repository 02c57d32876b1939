import type { FiltrationMethod } from '../brew/filtration.ts';
import { steepHoursOf } from '../batch/steepHours.ts';
import type { Plan } from '../batch/schema.ts';

/** Before the steep, while it stands, and after it. */
export const PHASES = ['prepare', 'steep', 'finish'] as const;
export type Phase = (typeof PHASES)[number];

/** What a step takes down: what the row is that notes it. */
export type StepNote =
  'weighed' | 'poured' | 'rinsed' | 'came-out' | 'read' | 'moved' | 'agitated' | 'done' | 'filled';

/** A step of the work, as it is before a plan fills in its amounts. */
export interface StepTemplate {
  readonly key: string;
  readonly phase: Phase;
  readonly title: string;
  /** What to watch for. */
  readonly watch: string;
  readonly note: StepNote;
  /** What the large button says when it is done. */
  readonly button: string;
  /** How much, of a plan, g; left out where it has no amount. */
  readonly amountG?: (plan: Plan) => number;
  /** How long it takes by itself before the next step, min. */
  readonly waitMinutes?: number;
  /** For which plans; for all of them where it is left out. */
  readonly when?: (plan: Plan) => boolean;
  /** Moments at which it is to be done, h from the first pour. */
  readonly atHours?: (plan: Plan) => readonly number[];
}

const bed =
  (...methods: FiltrationMethod[]) =>
  ({ filtration }: Plan): boolean =>
    methods.includes(filtration.method);
const inStages = ({ wetting }: Plan): boolean => wetting === 'stages';
const isStrained = ({ filtration }: Plan): boolean => filtration.method !== 'on-grounds';
const isHeld = (plan: Plan): boolean => plan.bed === 'held';
/** Hours at which a plan goes from one place to the next. */
const moveHours = ({ steep }: Plan): number[] =>
  steep.slice(1).map((_, i) => steepHoursOf({ steep: steep.slice(0, i + 1) }));
const agitations = (plan: Plan): number[] =>
  plan.agitationHours.filter((hours) => hours < steepHoursOf(plan)).toSorted((a, b) => a - b);

/**
 * The usual steps of a batch in the order of the work. Waits and what to watch for are common practice.
 */
export const STEP_TEMPLATES: readonly StepTemplate[] = [
  {
    key: 'weigh',
    phase: 'prepare',
    title: 'Weigh the coffee',
    watch: 'Weigh the beans before they are ground. The bag says its lot: is it the planned one?',
    note: 'weighed',
    button: 'Weighed',
    amountG: ({ doseG }) => doseG,
    when: ({ scooped }) => !scooped,
  },
  {
    key: 'grind',
    phase: 'prepare',
    title: 'Grind it',
    watch: 'Rub some between two fingers: powder among the grit brews bitter and muddy.',
    note: 'done',
    button: 'Ground',
  },
  {
    key: 'scoop',
    phase: 'prepare',
    title: 'Scoop the coffee, and weigh what that is',
    watch: 'Level and loose, not tapped down. What it weighs says what this scoop really holds.',
    note: 'weighed',
    button: 'Weighed',
    when: ({ scooped }) => scooped === true,
  },
  {
    key: 'tare',
    phase: 'prepare',
    title: 'Put the vessel on the scale and tare it',
    watch: 'With its bag or filter in it. The scale shows 0.',
    note: 'done',
    button: 'Tared',
  },
  {
    key: 'bloom',
    phase: 'prepare',
    title: 'Pour half of the water, slowly, over all the grounds',
    watch: 'Dry pockets do not brew: look for pale grounds at the wall.',
    note: 'poured',
    button: 'Poured',
    amountG: ({ waterG }) => waterG / 2,
    when: inStages,
  },
  {
    key: 'pour',
    phase: 'prepare',
    title: 'Pour the water over all the grounds',
    watch: 'Dry pockets do not brew: look for pale grounds at the wall.',
    note: 'poured',
    button: 'Poured',
    amountG: ({ waterG }) => waterG,
    when: (plan) => !inStages(plan),
  },
  {
    key: 'sink',
    phase: 'prepare',
    title: 'Wait until the level has sunk',
    watch: 'The bed drinks. Foam and pale grounds on top are still dry.',
    note: 'done',
    button: 'It has sunk',
    waitMinutes: 3,
    when: inStages,
  },
  {
    key: 'stir-in',
    phase: 'prepare',
    title: 'Stir from the bottom',
    watch: 'Once around and up from the floor, until no pale grounds are left.',
    note: 'done',
    button: 'Stirred',
    when: ({ wetting }) => wetting !== 'pour',
  },
  {
    key: 'top-up',
    phase: 'prepare',
    title: 'Top up with the rest of the water',
    watch: 'Stop at the headspace: grounds swell a little more.',
    note: 'poured',
    button: 'Topped up',
    amountG: ({ waterG }) => waterG / 2,
    when: inStages,
  },
  {
    key: 'bag-under',
    phase: 'prepare',
    title: 'Push the bag under',
    watch: 'All of it below the level; a bag that floats stays dry on top.',
    note: 'done',
    button: 'It is under',
    when: isHeld,
  },
  {
    key: 'cover',
    phase: 'prepare',
    title: 'Cover and label it',
    watch: 'The label says coffee, ratio, start, and when to strain.',
    note: 'done',
    button: 'Covered',
  },
  {
    key: 'put-away',
    phase: 'prepare',
    title: 'Put it away',
    watch: 'Where cold air reaches it, and away from what smells.',
    note: 'done',
    button: 'It stands',
  },
  {
    key: 'move',
    phase: 'steep',
    title: 'Put it into its next place',
    watch: 'Covered all the way.',
    note: 'moved',
    button: 'It stands there',
    atHours: moveHours,
  },
  {
    key: 'agitate',
    phase: 'steep',
    title: 'Stir once',
    watch: 'Gently: more makes it cloudy and bitter.',
    note: 'agitated',
    button: 'Stirred',
    atHours: agitations,
  },
  {
    key: 'strain',
    phase: 'finish',
    title: 'Strain it',
    watch: 'Clean hands, clean vessel below.',
    note: 'done',
    button: 'Straining',
    atHours: (plan) => [steepHoursOf(plan)],
    when: isStrained,
  },
  {
    key: 'hang',
    phase: 'finish',
    title: 'Let it drain by itself',
    watch: 'Do not press: pressing brings bitterness and mud.',
    note: 'done',
    button: 'Drained',
    waitMinutes: 40,
    when: bed('drain', 'paper'),
  },
  {
    key: 'press',
    phase: 'finish',
    title: 'Press the plunger down slowly',
    watch: 'Stop when it resists, and pour off at once.',
    note: 'done',
    button: 'Pressed',
    waitMinutes: 2,
    when: bed('press'),
  },
  {
    key: 'squeeze',
    phase: 'finish',
    title: 'Let the bag drain, then squeeze it',
    watch: 'Cold and clean gloves. The last of it is the most bitter.',
    note: 'done',
    button: 'Squeezed',
    waitMinutes: 10,
    when: bed('squeeze'),
  },
  {
    key: 'lift',
    phase: 'finish',
    title: 'Lift the insert and let it drip',
    watch: 'Over the vessel, until it drips slower than once a second.',
    note: 'done',
    button: 'Lifted out',
    waitMinutes: 10,
    when: bed('insert'),
  },
  {
    key: 'rinse',
    phase: 'finish',
    title: 'Rinse the bed',
    watch: 'Slowly, over all of it. It thins the brew: that is planned.',
    note: 'rinsed',
    button: 'Rinsed',
    amountG: ({ filtration }) => filtration.rinseG,
    when: (plan) => isStrained(plan) && plan.filtration.rinseG > 0,
  },
  {
    key: 'second-pass',
    phase: 'finish',
    title: 'Pour it through rinsed paper',
    watch: 'Change the paper when it drips no more.',
    note: 'done',
    button: 'It is through',
    waitMinutes: 30,
    when: bed('paper'),
  },
  {
    key: 'weigh-out',
    phase: 'finish',
    title: 'Weigh what came out',
    watch: 'Without its vessel: tare first.',
    note: 'came-out',
    button: 'Weighed',
    when: isStrained,
  },
  {
    key: 'read',
    phase: 'finish',
    title: 'Read the strength',
    watch: 'A stirred, filtered drop, as cold or warm as the glass of the instrument.',
    note: 'read',
    button: 'Read',
    when: isStrained,
  },
  {
    key: 'fill',
    phase: 'finish',
    title: 'Fill the jugs and label them',
    watch: 'Clean jugs, covered, into the fridge at once.',
    note: 'filled',
    button: 'Fill',
    when: isStrained,
  },
  {
    key: 'clean',
    phase: 'finish',
    title: 'Clean the vessel, the bag and the filter',
    watch: 'Oil that stays turns rancid. Rinse until it smells of nothing.',
    note: 'done',
    button: 'Clean',
    when: isStrained,
  },
];
