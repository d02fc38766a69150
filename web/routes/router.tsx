import { createBrowserRouter, useRouteError } from 'react-router';
import { Failure, Loading } from '../ui/panel';
import { ApiError } from '../lib/api';
import { leavePage } from '../lib/page-focus';
import { Home, Shell, SignedIn } from './shell';

function Broken() {
  return <Failure error={useRouteError()} onRetry={() => window.location.reload()} />;
}
const Nowhere = () => <Failure error={new ApiError(404, 'access.notFound', '')} />;

/** Pages load when they are first opened, so that a student's phone never fetches the educator's tables. */
export const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Broken />,
    hydrateFallbackElement: <Loading />,
    children: [
      { path: '/sign-in', lazy: async () => ({ Component: (await import('./sign-in')).SignIn }) },
      { path: '/code', lazy: async () => ({ Component: (await import('./use-code')).UseCodePage }) },
      { path: '/register', lazy: async () => ({ Component: (await import('./register')).Register }) },
      {
        element: <SignedIn />,
        errorElement: <Broken />,
        children: [
          { path: '/', element: <Home /> },
          { path: '/account', lazy: async () => ({ Component: (await import('./account')).AccountPage }) },
          { path: '/people', lazy: async () => ({ Component: (await import('./people')).PeoplePage }) },
          { path: '/handbook', lazy: async () => ({ Component: (await import('./handbook')).HandbookPage }) },
          { path: '/lab', lazy: async () => ({ Component: (await import('./lab')).LabPage }) },
          { path: '/due', lazy: async () => ({ Component: (await import('./student-home')).StudentHome }) },
          { path: '/term', lazy: async () => ({ Component: (await import('./my-term')).MyTermPage }) },
          {
            path: '/due/:assignmentId',
            lazy: async () => ({ Component: (await import('./student-assignment')).StudentAssignmentPage }),
          },
          {
            path: '/due/:assignmentId/result',
            lazy: async () => ({ Component: (await import('./student-result')).StudentResultPage }),
          },
          {
            path: '/due/:assignmentId/again',
            lazy: async () => ({ Component: (await import('./student-again')).StudentAgainPage }),
          },
          { path: '/library', lazy: async () => ({ Component: (await import('./library')).LibraryPage }) },
          {
            path: '/library/new',
            lazy: async () => ({ Component: (await import('./library-exercise')).LibraryExercisePage }),
          },
          {
            path: '/library/:exerciseId',
            lazy: async () => ({ Component: (await import('./library-exercise')).LibraryExercisePage }),
          },
          { path: '/classes', lazy: async () => ({ Component: (await import('./classes')).Classes }) },
          {
            path: '/classes/:classId',
            lazy: async () => ({ Component: (await import('./class')).ClassPage }),
          },
          {
            path: '/classes/:classId/new-exercise',
            lazy: async () => ({ Component: (await import('./new-exercise')).NewExercisePage }),
          },
          {
            path: '/classes/:classId/reading',
            lazy: async () => ({ Component: (await import('./reading-desk')).ReadingDeskPage }),
          },
          {
            path: '/classes/:classId/roster',
            lazy: async () => ({ Component: (await import('./roster')).RosterPage }),
          },
          {
            path: '/classes/:classId/gradebook',
            lazy: async () => ({ Component: (await import('./gradebook')).GradebookPage }),
          },
          {
            path: '/classes/:classId/gradebook/:studentId',
            lazy: async () => ({ Component: (await import('./gradebook')).StudentSheetPage }),
          },
          {
            path: '/classes/:classId/house-rules',
            lazy: async () => ({ Component: (await import('./house-rules')).HouseRulesPage }),
          },
          {
            path: '/classes/:classId/new-practice',
            lazy: async () => ({ Component: (await import('./new-practice')).NewPracticePage }),
          },
          {
            path: '/classes/:classId/new-test',
            lazy: async () => ({ Component: (await import('./new-test')).NewTestPage }),
          },
          {
            path: '/classes/:classId/students/:studentId/reading-profile',
            lazy: async () => ({ Component: (await import('./reading-profile')).StudentReadingProfilePage }),
          },
          {
            path: '/assignments/:assignmentId/live',
            lazy: async () => ({ Component: (await import('./live')).LivePage }),
          },
          {
            path: '/assignments/:assignmentId/pile',
            lazy: async () => ({ Component: (await import('./pile')).PilePage }),
          },
          {
            path: '/reading-tests/:testId',
            lazy: async () => ({ Component: (await import('./test-results')).TestResultsPage }),
          },
          {
            path: '/sittings/:sittingId',
            lazy: async () => ({ Component: (await import('./sitting-result')).SittingResultPage }),
          },
          {
            path: '/shade-books',
            lazy: async () => ({ Component: (await import('./shade-books')).ShadeBooksPage }),
          },
          {
            path: '/shade-books/new',
            lazy: async () => ({ Component: (await import('./shade-book-edit')).NewShadeBookPage }),
          },
          {
            path: '/shade-books/shipped/:lineId',
            lazy: async () => ({ Component: (await import('./shade-book')).ShippedLinePage }),
          },
          {
            path: '/shade-books/:bookId',
            lazy: async () => ({ Component: (await import('./shade-book')).ShadeBookPage }),
          },
          {
            path: '/shade-books/:bookId/edit',
            lazy: async () => ({ Component: (await import('./shade-book-edit')).EditShadeBookPage }),
          },
          {
            path: '/reading',
            lazy: async () => ({ Component: (await import('./reading-home')).ReadingHome }),
          },
          {
            path: '/reading/practice',
            lazy: async () => ({ Component: (await import('./practice')).PracticePage }),
          },
          {
            path: '/reading/reading-profile',
            lazy: async () => ({ Component: (await import('./reading-profile')).MyReadingProfilePage }),
          },
          {
            path: '/reading/tests/:testId',
            lazy: async () => ({ Component: (await import('./reading-test')).ReadingTestPage }),
          },
          {
            path: '/reading/sittings/:sittingId',
            lazy: async () => ({ Component: (await import('./sitting')).SittingPage }),
          },
          {
            path: '/reading/sittings/:sittingId/result',
            lazy: async () => ({ Component: (await import('./sitting-result')).SittingResultPage }),
          },
          {
            path: '/assignments/:assignmentId',
            lazy: async () => ({ Component: (await import('./assignment')).AssignmentPage }),
          },
          {
            path: '/answers/:attemptId',
            lazy: async () => ({ Component: (await import('./review')).ReviewPage }),
          },
        ],
      },
      { path: '*', element: <Nowhere /> },
    ],
  },
]);

let { pathname } = router.state.location;
router.subscribe(({ location }) => {
  if (location.pathname === pathname) return;
  ({ pathname } = location);
  leavePage(pathname);
});
