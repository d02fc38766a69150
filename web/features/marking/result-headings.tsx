import type { EducatorResult, Receipt, Result } from '@cimbel/contract';
import { hasPassed, type HouseRules } from '@cimbel/core/rules';
import { CircleCheck, CircleDashed } from 'lucide-react';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { dateTime } from '../../lib/i18n';
import { PageTitle } from '../../ui/page-title';
import { Neighbours } from './neighbours';
import { ReceiptLine } from './receipt';
import '../../lib/words/bench';

interface HandedInResult {
  assignmentId: string;
  title: string;
  submittedAt: string;
  late: boolean;
  lateLoss: number;
  receipt: Receipt | null;
  attempts: Result['attempts'];
  attemptId: string;
  houseRules: Pick<HouseRules, 'passMark'>;
  grade: { points: number; max: number };
}

export function PointsLine({ result }: { result: Pick<HandedInResult, 'grade' | 'houseRules'> }) {
  const { t } = useTranslation();
  const { points, max } = result.grade;
  const passed = hasPassed(points, max, result.houseRules);
  const Icon = passed ? CircleCheck : CircleDashed;
  return (
    <div className="text-end">
      <p className="font-display text-3xl font-semibold">{t('result.points', { points, max })}</p>
      <p
        className={`inline-flex items-center gap-1 text-sm font-semibold ${passed ? 'text-good' : 'text-warn'}`}
      >
        <Icon aria-hidden className="size-4" />
        {t(passed ? 'result.passed' : 'result.notPassed', { percent: result.houseRules.passMark })}
      </p>
    </div>
  );
}

function When({ result }: { result: HandedInResult }) {
  const { t } = useTranslation();
  return (
    <>
      {t(result.late ? 'result.late' : 'result.onTime', { when: dateTime(result.submittedAt) })}
      {result.lateLoss > 0 ? (
        <strong className="text-warn"> · {t('result.lateLoss', { points: result.lateLoss })}</strong>
      ) : null}
    </>
  );
}

/** Every attempt with its points, and which of them counts; nothing where there is one. */
function Attempts({
  result: { attempts, attemptId },
  toOf,
}: {
  result: HandedInResult;
  toOf: (attempt: HandedInResult['attempts'][number]) => string;
}) {
  const { t } = useTranslation();
  if (attempts.length < 2) return null;
  return (
    <ul className="flex flex-wrap gap-x-4 text-sm" aria-label={t('result.attempts')}>
      {attempts.map((attempt) => {
        const words = (
          <>
            {t('result.attempt', { number: attempt.number, points: attempt.points })}
            {attempt.counts ? ` (${t('result.counts')})` : ''}
          </>
        );
        return (
          <li key={attempt.attemptId}>
            {attempt.attemptId === attemptId ? (
              <strong aria-current="page">{words}</strong>
            ) : (
              <Link to={toOf(attempt)} className="underline">
                {words}
              </Link>
            )}
          </li>
        );
      })}
    </ul>
  );
}

/** Over a student's own result. */
export function MyResultHeading({ result, children }: { result: HandedInResult; children?: ReactNode }) {
  const { t } = useTranslation();
  return (
    <div className="flex flex-wrap items-end justify-between gap-3">
      <div>
        <PageTitle back={{ to: '/due', text: t('nav.exercises') }} className="text-xl">
          {result.title}
        </PageTitle>
        <p className="text-quiet text-sm">
          <When result={result} />
        </p>
        {result.receipt ? <ReceiptLine receipt={result.receipt} /> : null}
        <Attempts
          result={result}
          toOf={({ number }) => `/due/${result.assignmentId}/result?attempt=${number}`}
        />
      </div>
      <div className="flex items-center gap-4">
        {children}
        <PointsLine result={result} />
      </div>
    </div>
  );
}

/** Over an answer that an educator reads: whose it is, what it is to, and the way to the next. */
export function ReviewHeading({
  result,
}: {
  result: HandedInResult & Pick<EducatorResult, 'studentName' | 'previousId' | 'nextId' | 'plays'>;
}) {
  const { t } = useTranslation();
  return (
    <div className="flex flex-wrap items-center gap-3">
      <div className="me-auto">
        <PageTitle>{result.studentName}</PageTitle>
        <p className="text-quiet text-sm">
          <Link to={`/assignments/${result.assignmentId}`} className="underline">
            {result.title}
          </Link>{' '}
          · <When result={result} /> · {t('review.plays', { ...result.plays })}
        </p>
        {result.receipt ? <ReceiptLine receipt={result.receipt} /> : null}
        <Attempts result={result} toOf={({ attemptId }) => `/answers/${attemptId}`} />
      </div>
      <PointsLine result={result} />
      <Neighbours previousId={result.previousId} nextId={result.nextId} at="/answers" />
    </div>
  );
}
