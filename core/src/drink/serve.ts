/** How a drink is served: built in its glass, charged in a siphon, or drawn from a keg. */
export const SERVES = ['built', 'siphon', 'keg'] as const;
export type Serve = (typeof SERVES)[number];
