import { SHIPPED_LINES } from '@cimbel/core/shades';
import { route, type Route } from '../http/route';

export const lineRoutes = (): Route[] => [
  route({ method: 'get', path: '/api/lines', who: 'signedIn', handle: async () => SHIPPED_LINES }),
];
