import { RefreshCw } from 'lucide-react';
import { useSyncExternalStore } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from './button';

let waiting: (() => void) | null = null;
const listeners = new Set<() => void>();

/** Called when a newer version waits, with what takes it up. */
export function tellNewVersion(takeUp: () => void): void {
  waiting = takeUp;
  listeners.forEach((told) => told());
}

const subscribe = (told: () => void) => {
  listeners.add(told);
  return () => listeners.delete(told);
};

/** Offers a newer version while the page is open; nothing is taken from under the hand of who writes. */
export function NewVersionNotice() {
  const { t } = useTranslation();
  const takeUp = useSyncExternalStore(subscribe, () => waiting);
  if (!takeUp) return null;
  return (
    <div
      role="status"
      className="border-strong-line bg-raised flex flex-wrap items-center gap-3 border-b px-4 py-1"
    >
      <p className="me-auto">{t('state.newVersion')}</p>
      <Button icon={<RefreshCw aria-hidden className="size-4" />} onClick={takeUp}>
        {t('state.takeUp')}
      </Button>
    </div>
  );
}
