import type { Receipt } from '@cimbel/contract';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { dateTime } from '../../lib/i18n';
import { PageTitle } from '../../ui/page-title';
import { Neighbours } from './neighbours';
import { ReceiptLine } from './receipt';

interface HandedInResult {
  assignmentId: string;
  title: string;
  submittedAt: string;
  late: boolean;
  receipt: Receipt | null;
  grade: { points: number; max: number };
}

export function PointsLine({ result }: { result: Pick<HandedInResult, 'grade'> }) {
  const { t } = useTranslation();
  return (
    <p className="font-display text-3xl font-semibold">
      {t('result.points', { points: result.grade.points, max: result.grade.max })}
    </p>
  );
}

function When({ result }: { result: HandedInResult }) {
  const { t } = useTranslation();
  return <>{t(result.late ? 'result.late' : 'result.onTime', { when: dateTime(result.submittedAt) })}</>;
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
  result: HandedInResult & { studentName: string; previousId: string | null; nextId: string | null };
}) {
  return (
    <div className="flex flex-wrap items-center gap-3">
      <div className="me-auto">
        <h1 className="text-2xl">{result.studentName}</h1>
        <p className="text-quiet text-sm">
          <Link to={`/assignments/${result.assignmentId}`} className="underline">
            {result.title}
          </Link>{' '}
          · <When result={result} />
        </p>
        {result.receipt ? <ReceiptLine receipt={result.receipt} /> : null}
      </div>
      <PointsLine result={result} />
      <Neighbours previousId={result.previousId} nextId={result.nextId} at="/answers" />
    </div>
  );
}
