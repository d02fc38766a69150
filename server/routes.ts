import { peopleRoutes } from './accounts/people-routes';
import { accountRoutes } from './accounts/routes';
import { assignmentRoutes } from './assignments/routes';
import { pileRoutes } from './attempts/pile-routes';
import { attemptRoutes } from './attempts/routes';
import { calendarRoutes } from './calendar/routes';
import { classRoutes } from './classes/routes';
import { exerciseRoutes } from './exercises/routes';
import { gradebookRoutes } from './gradebook/routes';
import type { Route } from './http/route';
import { liveRoutes } from './live/routes';
import { practiceRoutes } from './practice/routes';
import { readingRoutes } from './reading/routes';
import { sittingRoutes } from './reading/sitting-routes';
import { searchRoutes } from './search/routes';
import { shadeBookRoutes } from './shade-books/routes';

/** Every route of the application. The access test walks this list, so nothing can be mounted beside it. */
export const allRoutes = (): Route[] => [
  ...accountRoutes(),
  ...peopleRoutes(),
  ...shadeBookRoutes(),
  ...classRoutes(),
  ...calendarRoutes(),
  ...searchRoutes(),
  ...exerciseRoutes(),
  ...assignmentRoutes(),
  ...attemptRoutes(),
  ...pileRoutes(),
  ...liveRoutes(),
  ...practiceRoutes(),
  ...readingRoutes(),
  ...sittingRoutes(),
  ...gradebookRoutes(),
];
