import type { EducatorTest, TestChange } from '@cimbel/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate, useParams } from 'react-router';
import { Confusion } from '../features/drill/confusion';
import { facetWords } from '../features/drill/words';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { Button } from '../ui/button';
import { Confirm } from '../ui/dialog';
import { DownloadLink } from '../ui/download-link';
import { Empty, Failure, Loading, Refused, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/drills';
import '../lib/words/craft';
import '../lib/words/educating';
import '../lib/words/reading';

function Students({ test }: { test: EducatorTest }) {
  const { t } = useTranslation(['ui', 'drill']);
  const scores = test.rows.flatMap(({ score }) => score ?? []);
  return (
    <div className="bg-sheet border-line overflow-x-auto rounded-sm border">
      <table className="w-full text-sm">
        <caption className="sr-only">{t('reading.results.students')}</caption>
        <thead>
          <tr className="border-strong-line border-b align-bottom">
            <th scope="col" className="px-3 py-1 text-start">
              {t('class.student')}
            </th>
            <th scope="col" className="px-2 py-1 text-end">
              {t('reading.results.score')}
            </th>
            <th scope="col" className="px-2 py-1 text-end">
              {t('reading.results.time')}
            </th>
            {test.attempts > 1 ? (
              <th scope="col" className="px-2 py-1 text-end">
                {t('reading.results.attempts')}
              </th>
            ) : null}
            {test.skills.map(({ skill }) => (
              <th
                key={skill}
                scope="col"
                className="px-2 py-1 text-end font-normal"
                title={t(`drill:skill.${skill}`)}
              >
                {t(`reading.desk.short.${skill}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {test.rows.map((row) => (
            <tr key={row.studentId} className="border-line hover:bg-raised border-b">
              <th scope="row" className="px-3 py-0.5 text-start font-normal">
                {row.sittingId ? (
                  <Link
                    to={`/sittings/${row.sittingId}`}
                    className="decoration-strong-line underline underline-offset-4"
                  >
                    {row.name}
                  </Link>
                ) : (
                  row.name
                )}
                {row.extraTimeShare > 0 ? (
                  <span className="text-quiet ms-2">
                    {t('reading.desk.extraShare', { share: row.extraTimeShare })}
                  </span>
                ) : null}
              </th>
              <td className="px-2 text-end">
                {row.score === null ? (
                  <span className="text-quiet">{t(`reading.results.state.${row.state}`)}</span>
                ) : (
                  <strong>{t('reading.share', { share: row.score })}</strong>
                )}
              </td>
              <td className="px-2 text-end">
                {row.minutes === null ? '' : t('reading.desk.minutes', { minutes: row.minutes })}
              </td>
              {test.attempts > 1 ? <td className="px-2 text-end">{row.sittings}</td> : null}
              {test.skills.map(({ skill }) => {
                const share = row.bySkill[skill];
                return (
                  <td
                    key={skill}
                    className={`px-2 text-end ${share !== undefined && share < 0.6 ? 'font-semibold' : 'text-quiet'}`}
                  >
                    {share === undefined ? '' : Math.round(share * 100)}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row" className="text-quiet px-3 py-1 text-start font-normal">
              {t('class.mean')}
            </th>
            <td className="px-2 text-end">
              {scores.length === 0
                ? ''
                : t('reading.share', { share: scores.reduce((a, b) => a + b, 0) / scores.length })}
            </td>
            <td colSpan={test.attempts > 1 ? 2 : 1} />
            {test.skills.map(({ skill, accuracy }) => (
              <td key={skill} className="px-2 text-end">
                {accuracy === null ? '' : Math.round(accuracy * 100)}
              </td>
            ))}
          </tr>
        </tfoot>
      </table>
    </div>
  );
}

/** Questions as they were for the class: easy or hard, and whether those who are good at the rest are good at this. */
function Slots({ test }: { test: EducatorTest }) {
  const { t } = useTranslation(['ui', 'drill']);
  return (
    <Sheet className="flex flex-col gap-2">
      <h2 className="text-lg">{t('reading.results.slots')}</h2>
      <div className="overflow-x-auto">
        <table className="w-full text-sm">
          <thead className="text-quiet">
            <tr>
              {(['question', 'difficulty', 'discrimination', 'apart'] as const).map((head, i) => (
                <th
                  key={head}
                  scope="col"
                  className={`py-1 pe-2 ${i === 0 ? 'text-start' : 'text-end'}`}
                  title={t(`reading.results.hint.${head}`)}
                >
                  {t(`reading.results.${head}`)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {test.slots.map((slot) => (
              <tr key={slot.slot} className="border-line border-t">
                <th scope="row" className="py-0.5 text-start font-normal">
                  {t(`drill:skill.${slot.skill}`)}{' '}
                  <span className="text-quiet">{facetWords(t, slot.facet)}</span>
                </th>
                <td className="pe-2 text-end">
                  {slot.sittings === 0 ? '' : t('reading.share', { share: slot.difficulty })}
                </td>
                <td
                  className={`pe-2 text-end ${slot.discrimination !== null && slot.discrimination < 0 ? 'text-warn font-semibold' : ''}`}
                >
                  {slot.discrimination === null
                    ? t('reading.results.tooFew')
                    : slot.discrimination.toFixed(2)}
                </td>
                <td className="pe-2 text-end">{slot.deltaE === null ? '' : slot.deltaE.toFixed(1)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="text-quiet text-sm">{t('reading.results.slotsHint')}</p>
    </Sheet>
  );
}

function Actions({ test }: { test: EducatorTest }) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [deleting, setDeleting] = useState(false);
  const change = useMutation({
    mutationFn: (body: TestChange) => api('PATCH', `/api/reading-tests/${test.id}`, body),
    onSuccess: () => client.invalidateQueries({ queryKey: ['test-results', test.id] }),
  });
  const remove = useMutation({
    mutationFn: () => api('DELETE', `/api/reading-tests/${test.id}`),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['reading-desk', test.classId] });
      await navigate(`/classes/${test.classId}/reading`);
    },
    onSettled: () => setDeleting(false),
  });
  const begun = test.rows.some(({ sittings }) => sittings > 0);
  const failed = change.error ?? remove.error;
  return (
    <div className="flex flex-wrap items-center gap-3">
      <Refused error={failed} />
      {test.feedback === 'onRelease' ? (
        <Button
          weight={test.released ? 'plain' : 'main'}
          disabled={change.isPending}
          onClick={() => change.mutate({ released: !test.released })}
        >
          {t(test.released ? 'reading.results.takeBack' : 'reading.results.release')}
        </Button>
      ) : null}
      <DownloadLink href={`/api/reading-tests/${test.id}/results.csv`}>
        {t('reading.results.csv')}
      </DownloadLink>
      {begun ? null : (
        <Button weight="danger" onClick={() => setDeleting(true)}>
          {t('action.delete')}
        </Button>
      )}
      <Confirm
        open={deleting}
        onCancel={() => setDeleting(false)}
        onConfirm={() => remove.mutate()}
        title={t('reading.results.deleteTitle')}
        text={t('reading.results.deleteText')}
        confirm={t('action.delete')}
        danger
        busy={remove.isPending}
      />
    </div>
  );
}

export function TestResultsPage() {
  const { t } = useTranslation(['ui', 'craft']);
  const { testId } = useParams();
  const query = useQuery({
    queryKey: ['test-results', testId],
    queryFn: () => api<EducatorTest>('GET', `/api/reading-tests/${testId}`),
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const test = query.data;
  const missing = test.rows.filter(({ state }) => state === 'notStarted');
  return (
    <div className="mx-auto flex max-w-6xl flex-col gap-4 p-4">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <PageTitle
          back={{ to: `/classes/${test.classId}/reading`, text: test.className }}
          className="me-auto text-2xl"
        >
          {test.title}
        </PageTitle>
        <Actions test={test} />
      </div>
      <p className="text-sm">
        {t('reading.test.facts', { questions: test.questions, minutes: test.minutes })} ·{' '}
        {t('reading.step', { step: test.step })} · {t(`reading.set.variant.${test.variants}`)} ·{' '}
        {t('class.due', { when: dateTime(test.dueAt) })}
      </p>
      {test.rows.length === 0 ? <Empty>{t('class.noStudents')}</Empty> : <Students test={test} />}
      {missing.length > 0 ? (
        <p>
          <strong>{t('reading.results.missing', { count: missing.length })}</strong>{' '}
          {missing.map(({ name }) => name).join(', ')}
        </p>
      ) : null}
      <div className="grid items-start gap-4 wide:grid-cols-2">
        <Slots test={test} />
        <div className="flex flex-col gap-4">
          {test.confusion.level.length > 0 ? (
            <Sheet className="flex flex-col gap-2">
              <h2 className="text-lg">{t('reading.confusion.level')}</h2>
              <Confusion cells={test.confusion.level} name={String} of="level" />
            </Sheet>
          ) : null}
          {test.confusion.tone.length > 0 ? (
            <Sheet className="flex flex-col gap-2">
              <h2 className="text-lg">{t('reading.confusion.tone')}</h2>
              <Confusion cells={test.confusion.tone} name={(tone) => t(`craft:tone.${tone}`)} of="tone" />
            </Sheet>
          ) : null}
        </div>
      </div>
    </div>
  );
}
