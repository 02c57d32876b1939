const formatters = new Map<string, Intl.DateTimeFormat>();

function formatter(zone: string): Intl.DateTimeFormat {
  const known = formatters.get(zone);
  if (known) return known;
  const made = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    weekday: 'short',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  });
  formatters.set(zone, made);
  return made;
}

/**
 * @param input.atMs ms since 1970 UTC
 * @param input.zone IANA name
 * @returns "Sat 08:10" on the wall clock of the zone
 */
export const dayAndTime = (input: { atMs: number; zone: string }): string =>
  formatter(input.zone).format(input.atMs).replace(',', '');
