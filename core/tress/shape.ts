import type { TressLook } from './look';

/** Steps in which places along the hair are told apart, root to tip. */
export const STEPS_ALONG = 256;
/** Ranks of fibres run from 0 to this: those ranked below the share of grey are white. */
export const RANKS = 65535;

/** What of a look the geometry depends on. */
export type Shape = Pick<TressLook, 'form' | 'cut' | 'seed'> &
  Required<Pick<TressLook, 'frizz' | 'broken' | 'split' | 'limp' | 'wet'>>;

export const shapeOf = ({
  form,
  cut,
  seed,
  frizz = 0,
  broken = 0,
  split = 0,
  limp = 0,
  wet = false,
}: Omit<TressLook, 'zones' | 'shine'>): Shape => ({ form, cut, seed, frizz, broken, split, limp, wet });
