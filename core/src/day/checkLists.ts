/** Lists that a shop goes through each day. */
export const CHECK_LISTS = ['opening', 'closing'] as const;
export type CheckList = (typeof CHECK_LISTS)[number];
