import { partName, partsOf, type ClientCase } from '@cimbel/core/case';
import type { RecordCard } from '@cimbel/core/card';
import { crucialByRuling, type EducatorRuling } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/product';
import type { ModelAnswer } from '@cimbel/core/solve';
import type { HouseRules } from '@cimbel/core/rules';
import { useTranslation } from 'react-i18next';
import { InUnits } from '../../lib/units';
import { Loading, Notice, Sheet } from '../../ui/panel';
import { Button } from '../../ui/button';
import { RecordCardView } from '../bench/record-card';
import { useWishes } from '../bench/words';
import { JudgementFields } from '../marking/judgement-fields';
import { ModelAnswerPanel } from '../marking/model-answer';
import { ReasonList } from '../marking/reasons';
import type { WhichVisit } from '../marking/visits';
import type { usePreview } from './use-preview';
import '../../lib/words/craft';
import '../../lib/words/educating';
import '../../lib/words/bench';

/** The answer to the case as it stands, beside the form: searched for, found, or why there is none. */
export function LiveAnswer({
  preview,
  waiting,
  card,
  lines,
  houseRules,
  judgement,
  onJudgement,
  onWish,
  onVisit,
}: {
  preview: ReturnType<typeof usePreview>;
  /** Whether the case lacks something before it can be answered. */
  waiting: boolean;
  /** The card that the class gets to put right; null where it starts empty. */
  card: RecordCard | null;
  lines: readonly Line[];
  houseRules: HouseRules;
  /** The educator's word on the marking. */
  judgement: EducatorRuling;
  onJudgement: (ruling: EducatorRuling) => void;
  /** Takes another target for the zones that have one. */
  onWish: (wish: ClientCase['wish']) => void;
  /** Takes one visit of several as the case. */
  onVisit: (clientCase: ClientCase, which: WhichVisit) => void;
}) {
  const { t } = useTranslation();
  return (
    <section
      aria-label={t('set.keyLive')}
      aria-busy={preview.isBehind}
      tabIndex={0}
      className="top-16 flex h-fit flex-col gap-3 xl:sticky xl:max-h-[calc(100dvh-9rem)] xl:overflow-y-auto"
    >
      {preview.isBehind && !waiting ? (
        <p role="status" className="text-quiet text-sm">
          {t('bench.searching')}
        </p>
      ) : null}
      {preview.isError ? (
        <Notice kind="bad">{t('bench.searchFailed')}</Notice>
      ) : preview.data === undefined ? (
        waiting ? (
          <Notice kind="info">{t('bench.answerWaits')}</Notice>
        ) : (
          <Loading />
        )
      ) : preview.data.ok ? (
        <InUnits units={houseRules.units}>
          <Missed solution={preview.data.modelAnswer} />
          <Sheet>
            <details>
              <summary className="cursor-pointer font-semibold">
                {t('judgement.title', { count: crucialByRuling(preview.data.crucial, judgement).length })}
              </summary>
              <div className="mt-3 flex flex-col gap-3">
                <JudgementFields
                  found={preview.data.crucial}
                  parts={partsOf(preview.data.modelAnswer.clientCase).map(partName)}
                  judgement={judgement}
                  lines={lines}
                  onChange={onJudgement}
                />
              </div>
            </details>
          </Sheet>
          {card ? <RecordCardView plan={card} lines={lines} title={t('bench.asHandedOut')} /> : null}
          <ModelAnswerPanel
            solution={preview.data.modelAnswer}
            lines={lines}
            houseRules={houseRules}
            nearMisses={preview.data.typicalErrors}
            onVisit={onVisit}
          />
        </InUnits>
      ) : (
        <Notice kind="bad">
          <strong>{t('bench.noPlan')}</strong>
          <ReasonList reasons={preview.data.reasons} />
          <NearestWish nearest={preview.data.nearest} onTake={onWish} />
        </Notice>
      )}
    </section>
  );
}

/** Targets that even the model answer does not bring home: said before the exercise is set. */
function Missed({ solution: { missed = [] } }: { solution: Pick<ModelAnswer, 'missed'> }) {
  const { t } = useTranslation(['ui', 'craft']);
  if (missed.length === 0) return null;
  return (
    <Notice kind="warn">
      <strong>{t('set.missed')}</strong>
      <ul className="list-disc ps-5">
        {missed.map(({ part, level, tone, deltaE }) => (
          <li key={part}>{t('set.missedPart', { zone: part.split('.')[0], level, tone, deltaE })}</li>
        ))}
      </ul>
    </Notice>
  );
}

/** The nearest target that can be reached, to be taken with one press. */
function NearestWish({
  nearest,
  onTake,
}: {
  nearest: ClientCase['wish'] | undefined;
  onTake: (wish: ClientCase['wish']) => void;
}) {
  const { t } = useTranslation();
  const wishes = useWishes();
  if (!nearest) return null;
  return (
    <div className="mt-2 flex flex-col items-start gap-1">
      <span className="font-semibold">{t('set.nearest')}</span>
      <ul className="list-disc ps-5">
        {wishes({ wish: nearest }).map(({ name, text }) => (
          <li key={name}>{t('set.nearestPart', { name, text })}</li>
        ))}
      </ul>
      <Button onClick={() => onTake(nearest)}>{t('set.takeNearest')}</Button>
    </div>
  );
}
