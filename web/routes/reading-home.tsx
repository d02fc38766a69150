import type { MyPractice, MyTest, PracticeForMe } from '@cimbel/contract';
import { dueCount, PLAIN_CONTEXT, SKILLS, type DrillContext, type Skill } from '@cimbel/core/drill';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { queueOf, useWaiting } from '../features/drill/answer-queue';
import { memoryWithWaiting, usePractice } from '../features/drill/use-practice';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { useMe } from '../lib/session';
import { Button, ButtonLink } from '../ui/button';
import { Choice } from '../ui/choice';
import { Empty, Failure, Loading, Notice, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/drills';
import '../lib/words/reading';

const addressOf = (minutes: number, more: Record<string, string>) =>
  `/reading/practice?${new URLSearchParams({ minutes: String(minutes), ...more })}`;

/** Minutes done of the minutes set, as a bar that also says it. */
function WeekBar({ done, of }: { done: number; of: number }) {
  const { t } = useTranslation();
  return (
    <div>
      <div className="bg-room border-line h-3 overflow-hidden rounded-sm border" aria-hidden>
        <div className="bg-ink h-full" style={{ inlineSize: `${Math.min(100, (100 * done) / of)}%` }} />
      </div>
      <p className="text-sm">{t('reading.weekMinutes', { done, of })}</p>
    </div>
  );
}

function SetPractice({ practice, minutes }: { practice: PracticeForMe; minutes: number }) {
  const { t } = useTranslation(['ui', 'drill']);
  return (
    <li className="bg-sheet border-line flex flex-col gap-2 rounded-sm border p-4">
      <p className="text-quiet text-sm">{practice.className}</p>
      <h3 className="text-xl">{practice.title}</h3>
      <p className="text-sm">{practice.skills.map((skill) => t(`drill:skill.${skill}`)).join(', ')}</p>
      <WeekBar done={practice.minutesThisWeek} of={practice.minutesAWeek} />
      <ButtonLink weight="main" className="self-start" to={addressOf(minutes, { practice: practice.id })}>
        {t('reading.practise')}
      </ButtonLink>
    </li>
  );
}

function TestLine({ test }: { test: MyTest }) {
  const { t } = useTranslation();
  const open = test.sittings.find(({ ended }) => !ended);
  const best = test.sittings.reduce<number | null>(
    (most, { score }) => (score === null ? most : Math.max(most ?? 0, score)),
    null,
  );
  return (
    <li className="bg-sheet border-line flex flex-wrap items-center gap-x-4 gap-y-2 rounded-sm border p-4">
      <div className="me-auto">
        <p className="text-quiet text-sm">{test.className}</p>
        <h3 className="text-xl">{test.title}</h3>
        <p className="text-sm">
          {t('reading.test.facts', { questions: test.questions, minutes: test.minutesForMe })} ·{' '}
          {t(test.late ? 'student.wasDue' : 'student.due', { when: dateTime(test.dueAt) })}
        </p>
      </div>
      {best !== null ? <p className="font-display text-2xl">{t('reading.share', { share: best })}</p> : null}
      {test.sittings.length > 0 && best === null && !open ? (
        <p className="text-quiet">{t('student.waiting')}</p>
      ) : null}
      <ButtonLink weight={open || test.canStart ? 'main' : 'plain'} to={`/reading/tests/${test.id}`}>
        {t(
          open
            ? 'student.continue'
            : test.canStart && test.sittings.length === 0
              ? 'student.start'
              : 'reading.test.look',
        )}
      </ButtonLink>
    </li>
  );
}

/** What is asked in the student's class, or outside of any. */
const contextOf = ({ classes: [first] }: MyPractice): DrillContext => ({
  ...PLAIN_CONTEXT,
  ...(first ? { rules: first.houseRules, ownLines: first.ownLines ?? [] } : {}),
});

function SkillLadder({ practice, minutes }: { practice: MyPractice; minutes: number }) {
  const { t } = useTranslation(['ui', 'drill']);
  const navigate = useNavigate();
  const [now] = useState(() => Date.now());
  const [chosen, setChosen] = useState<readonly Skill[]>([]);
  const memory = memoryWithWaiting(practice, useMe().id);
  const toggle = (skill: Skill) =>
    setChosen(chosen.includes(skill) ? chosen.filter((one) => one !== skill) : [...chosen, skill]);
  return (
    <Sheet className="flex flex-col gap-3">
      <h2 className="text-xl">{t('reading.skills')}</h2>
      <p>{t('reading.due', { count: dueCount(memory, now, contextOf(practice)) })}</p>
      <ul className="grid gap-x-6 md:grid-cols-2">
        {SKILLS.map((skill) => {
          const { step, answers } = memory.reach[skill];
          return (
            <li key={skill} className="border-line border-t">
              <label className="flex min-h-12 items-center gap-3 py-1">
                <input
                  type="checkbox"
                  className="accent-accent size-5 shrink-0"
                  checked={chosen.includes(skill)}
                  onChange={() => toggle(skill)}
                />
                <span className="me-auto">
                  <span className="block font-semibold">{t(`drill:skill.${skill}`)}</span>
                  <span className="text-quiet block text-sm">{t(`drill:about.${skill}`)}</span>
                </span>
                <span className="text-sm whitespace-nowrap">
                  {answers === 0
                    ? t('reading.unmet')
                    : t('reading.stepShort', { step: Math.round(step * 10) / 10 })}
                </span>
              </label>
            </li>
          );
        })}
      </ul>
      <div className="flex flex-wrap gap-3">
        <Button
          weight="main"
          onClick={() =>
            void navigate(addressOf(minutes, chosen.length > 0 ? { skills: chosen.join(',') } : {}))
          }
        >
          {t(chosen.length > 0 ? 'reading.practiseChosen' : 'reading.practiseAll')}
        </Button>
        <ButtonLink to="/reading/reading-profile">{t('reading.profile.title')}</ButtonLink>
      </div>
    </Sheet>
  );
}

/** The student's reading: what is set, what is due, and one's own choice. */
export function ReadingHome() {
  const { t } = useTranslation();
  const me = useMe();
  const practice = usePractice(me.id);
  const tests = useQuery({
    queryKey: ['my-tests'],
    queryFn: () => api<MyTest[]>('GET', '/api/my/reading-tests'),
  });
  const [minutes, setMinutes] = useState<'5' | '10'>('5');
  const queue = queueOf(me.id);
  const waiting = useWaiting(queue);
  useEffect(() => void queue.flush(), [queue]);
  if (practice.isPending) return <Loading />;
  if (practice.isError) return <Failure error={practice.error} onRetry={() => void practice.refetch()} />;
  const open = (tests.data ?? []).filter((test) => test.canStart || test.sittings.length > 0 || !test.late);
  return (
    <div className="mx-auto flex max-w-5xl flex-col gap-5 p-4 py-6">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <PageTitle className="me-auto text-2xl">{t('reading.title')}</PageTitle>
        <Choice
          label={t('reading.length')}
          value={minutes}
          onChange={setMinutes}
          options={(['5', '10'] as const).map((value) => ({
            value,
            text: t('reading.minutes', { minutes: value }),
          }))}
        />
      </div>
      {waiting > 0 ? <Notice kind="warn">{t('reading.waiting', { count: waiting })}</Notice> : null}
      {practice.data.practices.length > 0 ? (
        <ul className="grid gap-4 wide:grid-cols-2">
          {practice.data.practices.map((practiceForMe) => (
            <SetPractice key={practiceForMe.id} practice={practiceForMe} minutes={Number(minutes)} />
          ))}
        </ul>
      ) : (
        <Empty>{t('reading.noPractice')}</Empty>
      )}
      {tests.isError ? <Notice kind="bad">{t('reading.test.notLoaded')}</Notice> : null}
      {open.length > 0 ? (
        <section className="flex flex-col gap-3">
          <h2 className="text-xl">{t('reading.test.title')}</h2>
          <ul className="flex flex-col gap-3">
            {open.map((test) => (
              <TestLine key={test.id} test={test} />
            ))}
          </ul>
        </section>
      ) : null}
      <SkillLadder practice={practice.data} minutes={Number(minutes)} />
    </div>
  );
}
