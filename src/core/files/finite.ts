/** JSON has no infinite numbers: what is silent or without limit is null there. */
export const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);
