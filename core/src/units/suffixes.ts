/**
 * Registry of the suffixes that carry units in names. A numeric key of a schema ends in one of
 * these or is listed in DIMENSIONLESS; a test holds the schemas to it.
 */
const SUFFIXES = {
  G: 'g',
  Ml: 'mL',
  C: '°C',
  S: 's',
  Frac: '',
  Kcal: 'kcal',
  Mg: 'mg',
  Um: 'µm',
  Mm: 'mm',
  GPerMl: 'g/mL',
  MgPerG: 'mg/g',
  PerKg: 'per kg',
  Hours: 'h',
  Minutes: 'min',
  Days: 'd',
  Ms: 'ms',
  G2: 'g²',
} as const satisfies Record<string, string>;

/** Numeric keys that are whole words: pure numbers, or a unit's own name used as a key. */
const BARE_KEYS = [
  'ratio',
  'hours',
  'minutes',
  'atMinutes',
  'low',
  'high',
  'value',
  'version',
  'concentrate',
  'fill',
  'status',
  'order',
  'number',
  'score',
  'G',
  'price',
  'proportion',
  'servings',
  'weekCount',
  'chargesPerFill',
  'chargePrice',
  'brix',
  'brixToStrength',
  'plusBrix',
  'portNumber',
  'seed',
  'malformed',
  'quarter',
  'count',
  'page',
  'total',
  'model',
  'batchCount',
  'sigma',
  'yieldSigma',
  'rateSigma',
] as const;

/** @returns whether a numeric key says its unit: by suffix, or by being a listed bare word */
export function saysUnit(key: string): boolean {
  if ((BARE_KEYS as readonly string[]).includes(key)) return true;
  return Object.keys(SUFFIXES).some((suffix) => key.length > suffix.length && key.endsWith(suffix));
}
