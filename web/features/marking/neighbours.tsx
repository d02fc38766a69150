import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import { useShortcuts } from '../../lib/shortcuts';
import '../../lib/words/educating';

function Neighbour({
  id,
  at,
  label,
  shortcut,
  children,
}: {
  id: string | null;
  at: string;
  label: string;
  shortcut: string;
  children: React.ReactNode;
}) {
  const className = 'inline-flex size-10 items-center justify-center rounded-sm border border-strong-line';
  return id ? (
    <Link
      to={`${at}/${id}`}
      className={`${className} bg-raised hover:bg-sheet`}
      aria-label={label}
      title={`${label} (${shortcut})`}
    >
      {children}
    </Link>
  ) : (
    <span className={`${className} opacity-35`} aria-hidden>
      {children}
    </span>
  );
}

/** The way to the answers before and after, by button and by J and K. `at` is the address of answers of this kind. */
export function Neighbours({
  previousId,
  nextId,
  at,
}: {
  previousId: string | null;
  nextId: string | null;
  at: string;
}) {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const go = (id: string | null) => {
    if (id) void navigate(`${at}/${id}`);
  };
  useShortcuts({ j: () => go(nextId), k: () => go(previousId) });
  return (
    <div className="flex gap-1">
      <Neighbour id={previousId} at={at} label={t('review.previous')} shortcut="K">
        <ChevronLeft aria-hidden className="size-5 rtl:-scale-x-100" />
      </Neighbour>
      <Neighbour id={nextId} at={at} label={t('review.next')} shortcut="J">
        <ChevronRight aria-hidden className="size-5 rtl:-scale-x-100" />
      </Neighbour>
    </div>
  );
}
