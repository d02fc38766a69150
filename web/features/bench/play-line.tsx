import { Clapperboard } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { asApiError } from '../../lib/api';
import { useRefusalWords } from '../../lib/form';
import { Button } from '../../ui/button';
import { Notice } from '../../ui/panel';
import type { Play } from './use-simulation';
import '../../lib/words/bench';

/** By whose word the card is played, how often it still may be, and whether what is shown is of an earlier card. */
export function PlayLine({ play: { shown, error, request } }: { play: Play }) {
  const { t } = useTranslation();
  const refusal = useRefusalWords();
  const failed = error ? asApiError(error) : null;
  if (!request) return failed ? <Notice kind="warn">{refusal(failed)}</Notice> : null;
  const { changed, isPlaying, plays, start } = request;
  const left = Math.max(0, plays.allowed - plays.used);
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-3">
        <Button
          icon={<Clapperboard aria-hidden className="size-5" />}
          aria-disabled={isPlaying || (!changed && !failed)}
          onClick={isPlaying || (!changed && !failed) ? undefined : start}
        >
          {t('bench.play.start')}
        </Button>
        <p role="status" className="text-sm">
          {isPlaying
            ? t('bench.play.running')
            : shown && changed
              ? t('bench.play.changed')
              : shown
                ? t('bench.play.shown')
                : t('bench.play.notYet')}
        </p>
        <p className="text-quiet ms-auto text-sm">{t('bench.play.left', { left, allowed: plays.allowed })}</p>
      </div>
      {failed ? (
        <Notice kind="warn">{failed.offline ? t('bench.playOffline') : refusal(failed)}</Notice>
      ) : null}
    </div>
  );
}
