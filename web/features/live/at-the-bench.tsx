import type { Working } from '@cimbel/contract';
import { Hand, MessageSquareText } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Button, ButtonLink } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Notice } from '../../ui/panel';
import { HintList } from './hint-list';
import type { useWorking } from './use-working';
import '../../lib/words/live';

/** Lies over the bench while the class pauses; other work is open meanwhile. */
function PauseCover() {
  const { t } = useTranslation(['live', 'ui']);
  return (
    <Dialog
      open
      onClose={() => undefined}
      title={t('live:pausedTitle')}
      actions={<ButtonLink to="/due">{t('ui:nav.exercises')}</ButtonLink>}
    >
      <p>{t('live:pausedText')}</p>
    </Dialog>
  );
}

/** What an educator says while one works, and the way to ask for help. */
export function AtTheBench({ working, hand, read }: ReturnType<typeof useWorking> & { working: Working }) {
  const { t } = useTranslation('live');
  const unread = working.hints.filter(({ readAt }) => readAt === null);
  return (
    <>
      {working.pausedAt && !working.handedIn ? <PauseCover /> : null}
      {unread.length > 0 ? (
        <section role="alert" className="border-accent bg-raised flex flex-col gap-2 rounded-sm border-2 p-3">
          <h2 className="flex items-center gap-2 text-lg">
            <MessageSquareText aria-hidden className="size-5" />
            {t('hintsTitle')}
          </h2>
          <HintList hints={unread} />
          <div>
            <Button disabled={read.isPending} onClick={() => read.mutate()}>
              {t('hintsRead')}
            </Button>
          </div>
        </section>
      ) : null}
      {working.handAt ? (
        <Notice kind="info">
          {t('asking')}{' '}
          <Button
            weight="quiet"
            className="min-h-6 px-0"
            disabled={hand.isPending}
            onClick={() => hand.mutate(false)}
          >
            {t('askBack')}
          </Button>
        </Notice>
      ) : null}
    </>
  );
}

/** Asks for help, and says that the work is seen. */
export function AskForHelp({
  working,
  hand,
}: Pick<ReturnType<typeof useWorking>, 'hand'> & { working: Working }) {
  const { t } = useTranslation('live');
  return (
    <div className="text-quiet flex flex-wrap items-center gap-x-3 text-sm">
      <p>{t('told')}</p>
      {working.handAt ? null : (
        <Button
          className="min-h-8 px-3 text-sm"
          icon={<Hand aria-hidden className="size-4" />}
          disabled={hand.isPending}
          onClick={() => hand.mutate(true)}
        >
          {t('ask')}
        </Button>
      )}
    </div>
  );
}
