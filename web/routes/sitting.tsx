import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { ItemCard } from '../features/drill/item-card';
import { Unsent } from '../features/drill/unsent';
import { pictureAddress, useSitting } from '../features/drill/use-sitting';
import { Button, ButtonLink } from '../ui/button';
import { Failure, Loading, Notice } from '../ui/panel';
import { timeLeft } from '../lib/i18n';
import { PageTitle } from '../ui/page-title';
import '../lib/words/reading';

/** A reading test being taken: one question, no way back, the server's clock. */
export function SittingPage() {
  const { t } = useTranslation();
  const { sittingId } = useParams();
  const sitting = useSitting(sittingId!);
  const { state, question, position, waiting, millisecondsLeft } = sitting;
  if (sitting.failure && !state) return <Failure error={sitting.failure} onRetry={sitting.retry} />;
  if (!state) return <Loading />;
  const answeredAll = position >= state.total && waiting === 0;
  if (state.ended || answeredAll)
    return (
      <div className="mx-auto flex max-w-xl flex-col items-start gap-4 p-6">
        <PageTitle>{state.title}</PageTitle>
        <Notice kind="good">
          {t(answeredAll ? 'reading.test.over' : 'reading.test.timeOver', {
            answered: state.position,
            total: state.total,
          })}
        </Notice>
        {state.feedback === 'atEnd' ? (
          <ButtonLink weight="main" to={`/reading/sittings/${state.id}/result`}>
            {t('student.seeResult')}
          </ButtonLink>
        ) : (
          <p>{t('reading.test.laterResult')}</p>
        )}
        <ButtonLink to="/reading">{t('reading.backToRoom')}</ButtonLink>
      </div>
    );
  return (
    <div className="flex min-h-[calc(100dvh-3.3rem)] flex-col">
      <div className="border-strong-line bg-room flex flex-wrap items-center gap-x-4 gap-y-1 border-b px-4 py-2">
        <PageTitle className="text-base">{state.title}</PageTitle>
        <p className="text-sm">
          {t('reading.test.position', { position: Math.min(position + 1, state.total), total: state.total })}
        </p>
        <Unsent count={waiting} text={t('reading.test.sending', { count: waiting })} />
        <p
          className={`ms-auto text-lg font-semibold ${millisecondsLeft < 60_000 ? 'text-warn' : ''}`}
          role="timer"
        >
          <bdi>{timeLeft(millisecondsLeft / 1000)}</bdi>
        </p>
      </div>
      {millisecondsLeft === 0 ? (
        <div className="p-6">
          <Notice kind="warn">{t('reading.test.closing')}</Notice>
        </div>
      ) : question ? (
        <ItemCard
          key={question.position}
          question={question.question}
          hairs={question.question.pictures.map((_, picture) => ({
            src: pictureAddress(state.id, question.position, picture),
          }))}
          told={null}
          immediate={false}
          onAnswer={sitting.answer}
          beside={
            <Button weight="quiet" onClick={() => sitting.answer(null)}>
              {t('reading.test.leave')}
            </Button>
          }
        />
      ) : (
        <div className="mx-auto flex max-w-lg flex-col gap-4 p-6">
          <Loading />
          {waiting > 0 ? <Notice kind="warn">{t('reading.test.waitingForLine')}</Notice> : null}
        </div>
      )}
    </div>
  );
}
