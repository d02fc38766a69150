import { Search } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { useTranslation } from 'react-i18next';
import '../lib/words/search';
import { useShortcuts } from '../lib/shortcuts';
import { AccountMenu } from './account-menu';

const SearchDialog = lazy(() => import('../features/search/search-dialog'));

/** What the bar has for who is signed in: a way to everything by its name, and to their own account. */
export default function SignedInBar() {
  const { t } = useTranslation('search');
  const [searching, setSearching] = useState(false);
  useShortcuts({ 'mod+k': () => setSearching(true) });
  return (
    <>
      <button
        type="button"
        className="hover:bg-sheet inline-flex size-10 items-center justify-center rounded-sm"
        aria-label={t('title')}
        aria-keyshortcuts="Control+K Meta+K"
        title={`${t('title')} (Ctrl K)`}
        onClick={() => setSearching(true)}
      >
        <Search aria-hidden className="size-5" />
      </button>
      <AccountMenu />
      {searching ? (
        <Suspense fallback={null}>
          <SearchDialog onClose={() => setSearching(false)} />
        </Suspense>
      ) : null}
    </>
  );
}
