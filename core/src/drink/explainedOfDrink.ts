/** Numbers of a drink that can say where they come from. */
export const EXPLAINED_OF_DRINK = ['strength', 'melt', 'caffeine', 'energy', 'cost'] as const;
export type ExplainedOfDrink = (typeof EXPLAINED_OF_DRINK)[number];
