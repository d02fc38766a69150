import type { Application } from '../card';
import { AREA_ORDERS } from '../rules';

/** A bowl put openly on the mid-lengths for the usual time; what is not said is plain. */
export const step = (change: Partial<Application> = {}): Application => ({
  bowl: 'A',
  zones: ['mids'],
  placement: 'open',
  share: 1,
  areas: [...AREA_ORDERS.napeUp],
  stopsAtLine: true,
  wet: false,
  start: 0,
  minutes: 35,
  heat: null,
  checkEvery: null,
  ends: 'rinse',
  ...change,
});
