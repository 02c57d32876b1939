/** Largest amounts that a shop's bench can hold; beyond them a slip of the finger is likelier. */
export const BATCH_LIMITS = {
  doseG: 50_000,
  waterG: 500_000,
  volumeMl: 500_000,
  hours: 168,
} as const;
