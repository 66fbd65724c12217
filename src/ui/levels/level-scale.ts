import { scaleLinear } from 'd3-scale';
import { DBU_OVER_DBV } from '../../core/units';

/** The one axis of the lens, dBu. */
export const [LOWEST, HIGHEST] = [-140, 30];

const scale = scaleLinear([LOWEST, HIGHEST], [0, 100]).clamp(true);

/** Where a level stands, per cent of the axis; levels come in dBV. */
export const placeOf = (dbv: number): number => scale(dbv + DBU_OVER_DBV);

export const TICKS = [-120, -100, -80, -60, -40, -20, 0, 20] as const;
export const tickPlace = (dbu: number): number => scale(dbu);

/** Decibels that a width of the axis stands for. */
export const decibelsFor = (share: number): number => share * (HIGHEST - LOWEST);
