/** How dark a coffee is roasted, as shelves name it. */
export const ROASTS = ['light', 'medium', 'dark'] as const;
