import type { ClassDetail, Standing } from '@cimbel/contract';
import { Plus } from 'lucide-react';
import { hasPassed } from '@cimbel/core/rules';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { dateTime, figure } from '../lib/i18n';
import { CalendarButton } from '../features/calendar/calendar-button';
import { JoinCode } from '../features/people/join-code';
import { ClassTabs } from '../features/reading/class-tabs';
import { WithClass } from '../features/reading/with-class';
import { ButtonLink } from '../ui/button';
import { Empty, Notice } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/educating';

function StandingCell({
  standing,
  max,
  of,
}: {
  standing: Standing;
  max: number;
  /** Whose it is, and of what. */
  of: { student: string; title: string };
}) {
  const { t } = useTranslation();
  const { state, points, late, attemptId, handedIn } = standing;
  const words =
    points !== null ? (
      <>
        <span className="font-semibold">{points}</span>
        <span className="text-quiet"> / {max}</span>
      </>
    ) : (
      <span className="text-quiet">{t(`class.standing.${state}`)}</span>
    );
  return (
    <td className="px-3 py-1 text-end whitespace-nowrap">
      {handedIn > 1 ? (
        <span className="text-quiet me-2 text-sm">{t('class.attempts', { count: handedIn })}</span>
      ) : null}
      {late ? <span className="text-warn me-2 text-sm">{t('class.late')}</span> : null}
      {attemptId ? (
        <Link className="decoration-strong-line underline underline-offset-4" to={`/answers/${attemptId}`}>
          {words}
          {/* Many say the same; whoever hears them is told whose it is, and of what. */}
          <span className="sr-only">{t('class.of', of)}</span>
        </Link>
      ) : (
        words
      )}
    </td>
  );
}

function meanOf(detail: ClassDetail, assignmentId: string): number | null {
  const points = detail.students.flatMap(({ standings }) => standings[assignmentId].points ?? []);
  return points.length === 0 ? null : points.reduce((a, b) => a + b, 0) / points.length;
}

const shownMean = (detail: ClassDetail, assignmentId: string): string => {
  const mean = meanOf(detail, assignmentId);
  return mean === null ? '' : figure(mean, undefined, 1);
};

/** How many of the students with points have passed; empty while none has points. */
function passedOf(detail: ClassDetail, { id, max, passMark }: ClassDetail['assignments'][number]): string {
  const points = detail.students.flatMap(({ standings }) => standings[id].points ?? []);
  const passed = points.filter((point) => hasPassed(point, max, { passMark })).length;
  return points.length === 0 ? '' : `${figure(passed)} / ${figure(points.length)}`;
}

function ClassTable({ detail }: { detail: ClassDetail }) {
  const { t } = useTranslation();
  return (
    <div className="bg-sheet border-line relative overflow-x-auto rounded-sm border">
      <table className="w-full border-collapse">
        <caption className="sr-only">{t('class.table')}</caption>
        <thead>
          <tr className="border-strong-line border-b align-bottom">
            <th scope="col" className="px-3 py-2 text-start">
              {t('class.student')}
            </th>
            {detail.assignments.map(({ id, title, dueAt }) => (
              <th key={id} scope="col" className="px-3 py-2 text-end">
                <Link to={`/assignments/${id}`} className="underline underline-offset-4">
                  {title}
                </Link>
                <span className="text-quiet block text-sm font-normal">
                  {t('class.due', { when: dateTime(dueAt) })}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {detail.students.map(({ id, name, standings }) => (
            <tr key={id} className="border-line hover:bg-raised border-b">
              <th scope="row" className="px-3 py-1 text-start font-normal whitespace-nowrap">
                {name}
              </th>
              {detail.assignments.map((assignment) => (
                <StandingCell
                  key={assignment.id}
                  standing={standings[assignment.id]}
                  max={assignment.max}
                  of={{ student: name, title: assignment.title }}
                />
              ))}
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row" className="text-quiet px-3 py-1 text-start font-normal">
              {t('class.mean')}
            </th>
            {detail.assignments.map(({ id }) => (
              <td key={id} className="px-3 py-1 text-end">
                {shownMean(detail, id)}
              </td>
            ))}
          </tr>
          <tr>
            <th scope="row" className="text-quiet px-3 py-1 text-start font-normal">
              {t('class.passed')}
            </th>
            {detail.assignments.map((assignment) => (
              <td key={assignment.id} className="px-3 py-1 text-end">
                {passedOf(detail, assignment)}
              </td>
            ))}
          </tr>
        </tfoot>
      </table>
    </div>
  );
}

function ClassBody({ detail }: { detail: ClassDetail }) {
  const { t } = useTranslation();
  return (
    <div className="mx-auto flex max-w-7xl flex-col gap-4 p-4">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <PageTitle back={{ to: '/classes', text: t('nav.classes') }} className="me-auto text-2xl">
          {detail.name}
        </PageTitle>
        {detail.rights === 'marking' ? null : <JoinCode code={detail.joinCode} />}
        <CalendarButton of={detail} label={t('nav.calendar')} />
        {detail.rights === 'marking' ? null : (
          <>
            <ButtonLink
              weight="main"
              icon={<Plus aria-hidden className="size-5" />}
              to={`/classes/${detail.id}/new-exercise`}
            >
              {t('class.newExercise')}
            </ButtonLink>
          </>
        )}
      </div>
      <ClassTabs classId={detail.id} />
      {detail.archived ? <Notice kind="info">{t('class.archived')}</Notice> : null}
      {detail.waiting > 0 && detail.rights !== 'marking' ? (
        <Notice kind="info">
          {t('class.waiting', { count: detail.waiting })}{' '}
          <Link className="font-semibold underline" to={`/classes/${detail.id}/roster`}>
            {t('class.toRoster')}
          </Link>
        </Notice>
      ) : null}
      {detail.assignments.length === 0 ? <Empty>{t('class.noExercises')}</Empty> : null}
      {detail.students.length === 0 ? <Empty>{t('class.noStudents')}</Empty> : null}
      {detail.students.length > 0 || detail.assignments.length > 0 ? <ClassTable detail={detail} /> : null}
    </div>
  );
}

export const ClassPage = () => <WithClass>{(detail) => <ClassBody detail={detail} />}</WithClass>;
