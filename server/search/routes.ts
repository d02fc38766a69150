import { route, type Route } from '../http/route';
import { educatorsEntries, studentsEntries } from './store';

export const searchRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/search',
    who: 'signedIn',
    handle: ({ db, me }) =>
      me.role === 'educator' ? educatorsEntries(db, me.id) : studentsEntries(db, me.id),
  }),
];
