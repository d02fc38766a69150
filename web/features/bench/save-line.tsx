import { Cloud, CloudOff, LoaderCircle, Redo2, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { dateTime } from '../../lib/i18n';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import type { DraftOf } from './use-draft';
import '../../lib/words/bench';

type Kept = Pick<DraftOf<object>, 'save' | 'savedAt' | 'undo' | 'redo' | 'settle'>;

/** Where the work is kept, and the way back. */
export function SaveLine({ draft }: { draft: Kept }) {
  const { t } = useTranslation();
  const { save, savedAt } = draft;
  const words = {
    saved: savedAt ? t('bench.saved', { when: dateTime(savedAt) }) : '',
    saving: t('bench.saving'),
    unsaved: t('bench.unsaved'),
    offline: t('bench.keptHere'),
    conflict: t('error.attempt.newerElsewhere'),
    closed: t('error.attempt.handedIn'),
  }[save];
  const Icon =
    save === 'offline' || save === 'conflict' ? CloudOff : save === 'saving' ? LoaderCircle : Cloud;
  const step = (label: string, act: (() => void) | null, StepIcon: typeof Undo2) => (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={!act}
      onClick={() => act?.()}
      className="hover:bg-sheet inline-flex size-10 items-center justify-center rounded-sm disabled:opacity-35"
    >
      <StepIcon aria-hidden className="size-5 rtl:-scale-x-100" />
    </button>
  );
  return (
    <div className="flex items-center gap-1">
      {step(t('action.undo'), draft.undo, Undo2)}
      {step(t('action.redo'), draft.redo, Redo2)}
      <p role="status" className="text-quiet ms-1 flex items-center gap-1.5 text-sm">
        {words ? <Icon aria-hidden className="size-4 shrink-0" /> : null}
        {words}
      </p>
    </div>
  );
}

export function ConflictDialog({ draft }: { draft: Kept }) {
  const { t } = useTranslation();
  const [busy, setBusy] = useState(false);
  const settle = async (choice: 'mine' | 'theirs') => {
    setBusy(true);
    // A failed call leaves the question open; it can be answered again.
    await draft.settle(choice).catch(() => undefined);
    setBusy(false);
  };
  return (
    <Dialog
      open={draft.save === 'conflict'}
      onClose={() => undefined}
      title={t('bench.conflictTitle')}
      actions={
        <>
          <Button disabled={busy} onClick={() => void settle('theirs')}>
            {t('bench.takeTheirs')}
          </Button>
          <Button weight="main" disabled={busy} onClick={() => void settle('mine')}>
            {t('bench.keepMine')}
          </Button>
        </>
      }
    >
      <p>{t('bench.conflictText')}</p>
    </Dialog>
  );
}
