import type { StudentExercise } from '@cimbel/contract';
import { CRITERIA, openParts, type Criterion } from '@cimbel/core/grade';
import { useTranslation } from 'react-i18next';
import { Facts, Sheet } from '../../ui/panel';
import { useAnswerWords } from '../marking/answer-words';
import { HandInForm } from './hand-in-form';
import type { Draft } from './use-draft';

/** Parts as they stand on the card; depth, tone and grey share are one choice of shades. */
const ON_CARD: readonly Criterion[] = CRITERIA.filter(
  (criterion) => criterion !== 'tone' && criterion !== 'greyShare',
);

export function HandIn({ exercise, draft }: { exercise: StudentExercise; draft: Draft }) {
  const { t } = useTranslation(['ui', 'craft']);
  const answerWords = useAnswerWords();
  const { answer } = draft;
  const { id, late } = exercise;
  return (
    <div className="flex flex-col gap-5">
      <h2 className="text-2xl">{t('bench.handIn.title')}</h2>
      <Sheet>
        <Facts
          rows={ON_CARD.map((criterion) => ({
            term: criterion === 'depth' ? t('key.shades') : t(`craft:criterion.${criterion}`),
            value: answerWords(criterion, answer) ?? (
              <span className="text-warn">{t('bench.handIn.notAnswered')}</span>
            ),
          }))}
        />
      </Sheet>
      <HandInForm
        id={id}
        url={`/api/my/exercises/${id}`}
        answer={answer}
        open={openParts(answer).length}
        late={late}
        resultAt={`/due/${id}/result`}
        queryKey={['my-exercise', id]}
      />
    </div>
  );
}
