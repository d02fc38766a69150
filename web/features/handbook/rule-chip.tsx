import { lazy, Suspense, useState } from 'react';
import { useTranslation } from 'react-i18next';
import '../../lib/words/bench';

// The handbook comes when a rule is opened.
const RuleDialog = lazy(() => import('./rule-dialog'));

/** A rule of the handbook by its id; pressed, it says what the rule is. */
export function RuleChip({ rule }: { rule: string }) {
  const { t } = useTranslation();
  const [open, setOpen] = useState(false);
  const name = t('result.rule', { rule });
  return (
    <>
      <button
        type="button"
        data-inline
        aria-label={name}
        title={name}
        onClick={() => setOpen(true)}
        className="text-quiet border-line hover:border-strong-line hover:text-ink ms-2 rounded-sm border px-1 text-xs whitespace-nowrap underline-offset-2 hover:underline print:border-0"
      >
        {rule}
      </button>
      {open ? (
        <Suspense fallback={null}>
          <RuleDialog rule={rule} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  );
}
