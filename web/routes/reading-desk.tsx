import { EXTRA_TIME, type ReadingDesk } from '@cimbel/contract';
import { EYE_SKILLS, SKILLS, type Skill } from '@cimbel/core/drill';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useParams } from 'react-router';
import { ClassTabs } from '../features/reading/class-tabs';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { useRights } from '../features/people/use-class';
import { Button, ButtonLink } from '../ui/button';
import { Confirm } from '../ui/dialog';
import { Empty, Failure, Loading, Refused } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/drills';
import '../lib/words/educating';
import '../lib/words/reading';

function Practices({ desk }: { desk: ReadingDesk }) {
  const { t } = useTranslation(['ui', 'drill']);
  const mayChange = useRights(desk.classId) !== 'marking';
  const client = useQueryClient();
  const [ending, setEnding] = useState<ReadingDesk['practices'][number] | null>(null);
  const end = useMutation({
    mutationFn: (id: string) => api('DELETE', `/api/practices/${id}`),
    onSuccess: () => client.invalidateQueries({ queryKey: ['reading-desk', desk.classId] }),
    onSettled: () => setEnding(null),
  });
  return (
    <section className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="me-auto text-lg">{t('reading.desk.practices')}</h2>
        {mayChange ? (
          <ButtonLink
            icon={<Plus aria-hidden className="size-5" />}
            to={`/classes/${desk.classId}/new-practice`}
          >
            {t('reading.set.newPractice')}
          </ButtonLink>
        ) : null}
      </div>
      {desk.practices.length === 0 ? <Empty>{t('reading.desk.noPractices')}</Empty> : null}
      <Refused error={end.error} />
      <ul className="flex flex-col gap-1">
        {desk.practices.map((practice) => (
          <li
            key={practice.id}
            className="bg-sheet border-line flex flex-wrap items-center gap-x-4 rounded-sm border px-3 py-1"
          >
            <span className="me-auto max-w-2xl">
              <span className="block font-semibold">{practice.title}</span>
              <span className="text-quiet block text-sm">
                {practice.skills.map((skill) => t(`drill:skill.${skill}`)).join(', ')} ·{' '}
                {t('reading.desk.levels', { from: practice.scope.minLevel, to: practice.scope.maxLevel })}
              </span>
            </span>
            <span className="text-sm">
              {t('reading.desk.reached', {
                count: practice.reached,
                of: desk.students.length,
                minutes: practice.minutesAWeek,
              })}
            </span>
            {mayChange ? (
              <Button
                weight="quiet"
                aria-label={t('reading.desk.endOf', { title: practice.title })}
                onClick={() => setEnding(practice)}
              >
                <Trash2 aria-hidden className="size-4" />
              </Button>
            ) : null}
          </li>
        ))}
      </ul>
      <Confirm
        open={ending !== null}
        onCancel={() => setEnding(null)}
        onConfirm={() => ending && end.mutate(ending.id)}
        title={t('reading.desk.endTitle')}
        text={t('reading.desk.endText')}
        confirm={t('reading.desk.end')}
        danger
        busy={end.isPending}
      />
    </section>
  );
}

function Tests({ desk }: { desk: ReadingDesk }) {
  const { t } = useTranslation();
  const mayChange = useRights(desk.classId) !== 'marking';
  return (
    <section className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="me-auto text-lg">{t('reading.test.title')}</h2>
        {mayChange ? (
          <ButtonLink
            weight="main"
            icon={<Plus aria-hidden className="size-5" />}
            to={`/classes/${desk.classId}/new-test`}
          >
            {t('reading.set.newTest')}
          </ButtonLink>
        ) : null}
      </div>
      {desk.tests.length === 0 ? <Empty>{t('reading.desk.noTests')}</Empty> : null}
      <ul className="flex flex-col gap-1">
        {desk.tests.map((test) => (
          <li key={test.id}>
            <Link
              to={`/reading-tests/${test.id}`}
              className="bg-sheet border-line hover:border-strong-line flex flex-wrap items-baseline gap-x-4 rounded-sm border px-3 py-2"
            >
              <span className="font-semibold underline underline-offset-4">{test.title}</span>
              <span className="text-quiet me-auto text-sm">
                {t('reading.test.facts', { questions: test.questions, minutes: test.minutes })} ·{' '}
                {t('class.due', { when: dateTime(test.dueAt) })}
              </span>
              <span className="text-sm">
                {t('reading.desk.finished', { count: test.finished, of: desk.students.length })}
                {test.mean === null ? '' : ` · ${t('reading.desk.mean', { share: test.mean })}`}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Skills by eye, then the arithmetic; one row a student, thirty on a screen. */
function Students({ desk }: { desk: ReadingDesk }) {
  const { t } = useTranslation(['ui', 'drill']);
  const client = useQueryClient();
  const extra = useMutation({
    mutationFn: ({ id, share }: { id: string; share: number }) =>
      api('PUT', `/api/classes/${desk.classId}/students/${id}/extra-time`, { extraTimeShare: share }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['reading-desk', desk.classId] }),
  });
  // No column for what was neither set nor answered.
  const met = new Set<Skill>([
    ...desk.practices.flatMap(({ skills }) => skills),
    ...desk.students.flatMap(({ skills }) => SKILLS.filter((skill) => skills[skill])),
  ]);
  const columns = [...EYE_SKILLS, ...SKILLS.filter((skill) => !EYE_SKILLS.includes(skill))].filter((skill) =>
    met.has(skill),
  );
  if (desk.students.length === 0) return <Empty>{t('class.noStudents')}</Empty>;
  return (
    <section className="flex flex-col gap-2">
      <h2 className="text-lg">{t('reading.desk.students')}</h2>
      <Refused error={extra.error} />
      <div className="bg-sheet border-line overflow-x-auto rounded-sm border">
        <table className="w-full text-sm">
          <caption className="sr-only">{t('reading.desk.table')}</caption>
          <thead>
            <tr className="border-strong-line border-b align-bottom">
              <th scope="col" className="px-2 py-1 text-start">
                {t('class.student')}
              </th>
              <th scope="col" className="px-1 py-1 text-end">
                {t('reading.desk.week')}
              </th>
              <th scope="col" className="px-1 py-1 text-end">
                {t('reading.desk.answers')}
              </th>
              <th scope="col" className="px-1 py-1 text-end" title={t('reading.desk.biasHint')}>
                {t('reading.desk.bias')}
              </th>
              {columns.map((skill) => (
                <th
                  key={skill}
                  scope="col"
                  className="px-1 py-1 text-end font-normal"
                  title={t(`drill:skill.${skill}`)}
                >
                  {t(`reading.desk.short.${skill}`)}
                </th>
              ))}
              <th scope="col" className="px-2 py-1 text-end">
                {t('reading.desk.extra')}
              </th>
            </tr>
          </thead>
          <tbody>
            {desk.students.map((student) => (
              <tr key={student.id} className="border-line hover:bg-raised border-b">
                <th scope="row" className="px-2 text-start font-normal whitespace-nowrap">
                  <Link
                    to={`/classes/${desk.classId}/students/${student.id}/reading-profile`}
                    className="decoration-strong-line underline underline-offset-4"
                  >
                    {student.name}
                  </Link>
                </th>
                <td className="px-1 text-end">
                  {t('reading.desk.minutes', { minutes: student.minutesThisWeek })}
                </td>
                <td className="px-1 text-end">
                  {student.answers === 0 ? (
                    <span className="text-quiet">{t('reading.desk.none')}</span>
                  ) : (
                    student.answers
                  )}
                </td>
                <td className="px-1 text-end">
                  {student.levelBias === null ? '' : t('reading.desk.biasOf', { levels: student.levelBias })}
                </td>
                {columns.map((skill) => {
                  const one = student.skills[skill];
                  return (
                    <td
                      key={skill}
                      className={`px-1 text-end ${one && one.accuracy < 0.6 ? 'font-semibold' : 'text-quiet'}`}
                      title={
                        one
                          ? t('reading.desk.cell', {
                              skill: t(`drill:skill.${skill}`),
                              count: one.answers,
                              step: one.step,
                            })
                          : undefined
                      }
                    >
                      {one ? Math.round(one.accuracy * 100) : ''}
                    </td>
                  );
                })}
                <td className="px-2 py-0.5 text-end">
                  <select
                    aria-label={t('reading.desk.extraOf', { name: student.name })}
                    className="border-line bg-raised min-h-7 rounded-sm border px-1"
                    value={student.extraTimeShare}
                    disabled={extra.isPending}
                    onChange={({ target }) => extra.mutate({ id: student.id, share: Number(target.value) })}
                  >
                    {EXTRA_TIME.map((share) => (
                      <option key={share} value={share}>
                        {share === 0 ? t('reading.desk.noExtra') : t('reading.desk.extraShare', { share })}
                      </option>
                    ))}
                  </select>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="text-quiet text-sm">{t('reading.desk.hint')}</p>
    </section>
  );
}

/** A class's reading on one page: what is set, what is tested, who has practised and how well. */
export function ReadingDeskPage() {
  const { t } = useTranslation();
  const { classId } = useParams();
  const query = useQuery({
    queryKey: ['reading-desk', classId],
    queryFn: () => api<ReadingDesk>('GET', `/api/classes/${classId}/reading`),
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  return (
    <div className="mx-auto flex max-w-6xl flex-col gap-4 p-4">
      <PageTitle back={{ to: '/classes', text: t('nav.classes') }} className="text-2xl">
        {query.data.className}
      </PageTitle>
      <ClassTabs classId={query.data.classId} />
      <Tests desk={query.data} />
      <Practices desk={query.data} />
      <Students desk={query.data} />
    </div>
  );
}
