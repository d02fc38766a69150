import { BookOpenText, CircleUser, Keyboard, Moon, Sun } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, NavLink, Navigate, Outlet, ScrollRestoration, useLocation } from 'react-router';
import { useMe, useSession } from '../lib/session';
import { keep } from '../lib/storage';
import { useShortcuts } from '../lib/shortcuts';
import { NewVersionNotice } from '../ui/new-version-notice';
import { Failure, Loading } from '../ui/panel';

const ICON_BUTTON = 'inline-flex size-10 items-center justify-center rounded-sm hover:bg-sheet';

// What opens over the page comes after it: the first page is there sooner.
const SignedInBar = lazy(() => import('./signed-in-bar'));
const ShortcutsDialog = lazy(() => import('../ui/shortcuts-dialog'));

/** Stands where the menu will, of the same size. */
function NameAlone() {
  const { data } = useSession();
  return data?.me ? (
    <span className="inline-flex min-h-10 items-center gap-2 px-2">
      <CircleUser aria-hidden className="size-5" />
      <span className="max-sm:hidden">{data.me.name}</span>
    </span>
  ) : null;
}

function ThemeButton() {
  const { t } = useTranslation();
  const [dark, setDark] = useState(document.documentElement.dataset.theme === 'dark');
  const change = () => {
    const theme = dark ? 'light' : 'dark';
    document.documentElement.dataset.theme = theme;
    keep('cimbel.theme', theme);
    setDark(!dark);
  };
  const label = t(dark ? 'nav.toLight' : 'nav.toDark');
  return (
    <button type="button" className={ICON_BUTTON} aria-label={label} title={label} onClick={change}>
      {dark ? <Sun aria-hidden className="size-5" /> : <Moon aria-hidden className="size-5" />}
    </button>
  );
}

function MainNav() {
  const { t } = useTranslation();
  const { data } = useSession();
  if (!data?.me) return null;
  const work =
    data.me.role === 'educator'
      ? [
          { to: '/classes', text: t('nav.classes') },
          { to: '/library', text: t('nav.library') },
          { to: '/shade-books', text: t('nav.shadeBooks') },
        ]
      : [
          { to: '/due', text: t('nav.exercises') },
          { to: '/reading', text: t('nav.reading') },
        ];
  return (
    <nav
      className="flex gap-1 max-sm:order-last max-sm:w-full max-sm:justify-between sm:ms-6"
      aria-label={t('nav.main')}
    >
      {[...work, { to: '/lab', text: t('nav.lab') }].map(({ to, text }) => (
        <NavLink
          key={to}
          to={to}
          className="aria-[current=page]:border-accent inline-flex min-h-10 items-center border-b-4 border-transparent px-2 font-semibold max-sm:px-1 max-sm:text-sm"
        >
          {text}
        </NavLink>
      ))}
    </nav>
  );
}

/** The frame of every page: a narrow bar, then the work. */
export function Shell() {
  const { t } = useTranslation();
  const { data } = useSession();
  const [helping, setHelping] = useState(false);
  useShortcuts({ '?': () => setHelping(true) });
  return (
    <div className="flex min-h-dvh flex-col">
      <a
        href="#content"
        className="bg-accent text-on-accent sr-only focus:not-sr-only focus:absolute focus:z-50 focus:p-3"
      >
        {t('nav.skip')}
      </a>
      <header className="border-strong-line bg-room sticky top-0 z-30 flex items-center gap-1 border-b px-4 py-1 max-sm:static max-sm:flex-wrap max-sm:px-2">
        <Link
          to="/"
          className="font-display inline-flex items-center py-1 text-2xl font-bold tracking-tight max-sm:me-1 max-sm:text-xl"
        >
          {t('app.name')}
        </Link>
        <MainNav />
        <span className="me-auto" />
        {data?.me ? (
          <Link
            to="/handbook"
            className={ICON_BUTTON}
            aria-label={t('nav.handbook')}
            title={t('nav.handbook')}
          >
            <BookOpenText aria-hidden className="size-5" />
          </Link>
        ) : null}
        <button
          type="button"
          className={`${ICON_BUTTON} max-sm:hidden`}
          aria-label={t('nav.shortcuts')}
          title={`${t('nav.shortcuts')} (?)`}
          onClick={() => setHelping(true)}
        >
          <Keyboard aria-hidden className="size-5" />
        </button>
        <ThemeButton />
        {data?.me ? (
          <Suspense fallback={<NameAlone />}>
            <SignedInBar />
          </Suspense>
        ) : null}
      </header>
      <NewVersionNotice />
      <main id="content" tabIndex={-1} className="flex-1 outline-none">
        <Outlet />
      </main>
      {helping ? (
        <Suspense fallback={null}>
          <ShortcutsDialog open onClose={() => setHelping(false)} />
        </Suspense>
      ) : null}
      <ScrollRestoration />
    </div>
  );
}

/** Everything below needs someone signed in; who is not is sent to the door. */
export function SignedIn() {
  const session = useSession();
  const { pathname } = useLocation();
  if (session.isPending) return <Loading />;
  if (session.isError && !session.data)
    return <Failure error={session.error} onRetry={() => void session.refetch()} />;
  if (!session.data?.me) return <Navigate to="/sign-in" replace state={{ from: pathname }} />;
  return <Outlet key={session.data.me.id} />;
}

export function Home() {
  return <Navigate to={useMe().role === 'educator' ? '/classes' : '/due'} replace />;
}
