/** Where a figure came from; printed beside it wherever it is used. */
export const ORIGINS = ['measured', 'data sheet', 'packet', 'table', 'assumed'] as const;
export type Origin = (typeof ORIGINS)[number];
