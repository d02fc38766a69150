import type { RecordCard } from '@cimbel/core/card';
import type { Line } from '@cimbel/core/shades';
import type { HouseRules } from '@cimbel/core/theory';
import { useTranslation } from 'react-i18next';
import { InUnits } from '../../lib/units';
import { Loading, Notice } from '../../ui/panel';
import { RecordCardView } from '../bench/record-card';
import { ModelAnswerPanel } from '../marking/model-answer';
import { ReasonList } from '../marking/reasons';
import type { usePreview } from './use-preview';

/** The answer to the case as it stands, beside the form: searched for, found, or why there is none. */
export function LiveAnswer({
  preview,
  waiting,
  card,
  lines,
  houseRules,
}: {
  preview: ReturnType<typeof usePreview>;
  /** Whether the case lacks something before it can be answered. */
  waiting: boolean;
  /** The card that the class gets to put right; null where it starts empty. */
  card: RecordCard | null;
  lines: readonly Line[];
  houseRules: HouseRules;
}) {
  const { t } = useTranslation();
  return (
    <section
      aria-label={t('set.keyLive')}
      aria-busy={preview.isBehind}
      tabIndex={0}
      className="top-16 flex h-fit flex-col gap-3 xl:sticky xl:max-h-[calc(100dvh-5rem)] xl:overflow-y-auto"
    >
      {preview.isBehind && !waiting ? (
        <p role="status" className="text-quiet text-sm">
          {t('service.searching')}
        </p>
      ) : null}
      {preview.isError ? (
        <Notice kind="bad">{t('service.searchFailed')}</Notice>
      ) : preview.data === undefined ? (
        waiting ? (
          <Notice kind="info">{t('service.answerWaits')}</Notice>
        ) : (
          <Loading />
        )
      ) : preview.data.ok ? (
        <InUnits units={houseRules.units}>
          {card ? <RecordCardView plan={card} lines={lines} title={t('service.asHandedOut')} /> : null}
          <ModelAnswerPanel
            solution={preview.data.solution}
            lines={lines}
            houseRules={houseRules}
            nearMisses={preview.data.nearMisses}
          />
        </InUnits>
      ) : (
        <Notice kind="bad">
          <strong>{t('service.noPlan')}</strong>
          <ReasonList reasons={preview.data.reasons} />
        </Notice>
      )}
    </section>
  );
}
