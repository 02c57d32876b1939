/** @returns how long a plan steeps, in all its places, h */
export const steepHoursOf = ({
  steep,
}: {
  readonly steep: readonly { readonly hours: number }[];
}): number => steep.reduce((sum, { hours }) => sum + hours, 0);
