/** How a thing is; what is broken is not counted on. */
export const CONDITIONS = ['good', 'worn', 'broken'] as const;
export type Condition = (typeof CONDITIONS)[number];
