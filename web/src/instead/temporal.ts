import type { Temporal as Polyfill } from 'temporal-polyfill/implementation';

// Stands in for the polyfill in the pages: browsers that know the calendar themselves fetch nothing.
const own = (globalThis as { Temporal?: typeof Polyfill }).Temporal;

export const Temporal = own ?? (await import('temporal-polyfill/implementation')).Temporal;
