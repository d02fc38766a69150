import type { Collected, LiveBoard, LiveStudent } from '@cimbel/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Inbox, MessageSquareText, Pause, Play } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { DraftDialog } from '../features/live/draft-dialog';
import { HintDialog } from '../features/live/hint-dialog';
import { StudentRow } from '../features/live/student-row';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { useLive, type LiveLine } from '../lib/live';
import { Button } from '../ui/button';
import { Confirm } from '../ui/dialog';
import { Empty, Failure, Loading, Notice, Refused, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/bench';
import '../lib/words/craft';
import '../lib/words/educating';
import '../lib/words/live';

/** Times on the board are told to the minute; they move on this often, milliseconds. */
const TICK_MS = 10_000;

/** The server's time, milliseconds: what it was when it was told, going on by the device's clock. */
function useServerTime({ now }: LiveBoard, toldAt: number): number {
  const [tick, setTick] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setTick(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return Date.parse(now) + Math.max(0, tick - toldAt);
}

/** Who needs one first: hands by how long they are up, then what would hurt, then those at work, then the rest; each by name. */
const RANKS: ((student: LiveStudent) => boolean)[] = [
  ({ handAt }) => handAt !== null,
  ({ dangers }) => dangers.length > 0,
  ({ forming }) => forming.length > 0,
  ({ state }) => state === 'working',
  ({ state }) => state === 'notBegun',
];
function inOrder(students: readonly LiveStudent[]): LiveStudent[] {
  const rank = (student: LiveStudent) => {
    const at = RANKS.findIndex((holds) => holds(student));
    return at < 0 ? RANKS.length : at;
  };
  return [...students].sort(
    (a, b) => rank(a) - rank(b) || (a.handAt && b.handAt ? Date.parse(a.handAt) - Date.parse(b.handAt) : 0),
  );
}

/** Ways of thinking that show by now, with those they show in, the most frequent first. */
function formingIn(students: readonly LiveStudent[]) {
  const by = new Map<LiveStudent['forming'][number], LiveStudent[]>();
  for (const student of students)
    for (const name of student.forming) by.set(name, [...(by.get(name) ?? []), student]);
  return [...by].sort((a, b) => b[1].length - a[1].length);
}

function Board({
  board,
  toldAt,
  line,
}: {
  board: LiveBoard;
  /** When it was told, by the device's clock, milliseconds. */
  toldAt: number;
  line: LiveLine;
}) {
  const { t } = useTranslation(['live', 'craft', 'ui']);
  const client = useQueryClient();
  const { assignmentId, students, pausedAt } = board;
  const now = useServerTime(board, toldAt);
  const [hinting, setHinting] = useState<{ title: string; studentIds: string[] } | null>(null);
  const [seeing, setSeeing] = useState<LiveStudent | null>(null);
  const [collecting, setCollecting] = useState(false);
  const at = `/api/assignments/${assignmentId}`;
  const onSettled = () => client.invalidateQueries({ queryKey: ['live', assignmentId] });
  const pause = useMutation({
    mutationFn: (paused: boolean) => api('PUT', `${at}/pause`, { paused }),
    onSettled,
  });
  const lower = useMutation({
    mutationFn: (studentId: string) => api('DELETE', `${at}/live/${studentId}/hand`),
    onSettled,
  });
  const collect = useMutation({
    mutationFn: () => api<Collected>('POST', `${at}/collect`),
    onSettled: async () => {
      setCollecting(false);
      await client.invalidateQueries({ queryKey: ['assignment', assignmentId] });
      return onSettled();
    },
  });
  const of = (state: LiveStudent['state']) => students.filter((student) => student.state === state);
  const working = of('working');
  const forming = formingIn(students);
  const idsOf = (some: readonly LiveStudent[]) => some.map(({ studentId }) => studentId);
  return (
    <div className="mx-auto flex max-w-7xl flex-col gap-4 p-4">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <div className="me-auto">
          <PageTitle back={{ to: `/assignments/${assignmentId}`, text: board.title }}>
            {t('live:title')}
          </PageTitle>
          <p className="text-quiet text-sm" role="status">
            {t('live:counts', {
              working: working.length,
              done: of('handedIn').length,
              none: of('notBegun').length,
            })}{' '}
            · {t(`live:line.${line}`)}
          </p>
        </div>
        {working.length > 0 ? (
          <Button
            icon={<MessageSquareText aria-hidden className="size-4" />}
            onClick={() => setHinting({ title: t('live:hintAll'), studentIds: idsOf(working) })}
          >
            {t('live:hintAll')}
          </Button>
        ) : null}
        {!board.leads ? null : pausedAt ? (
          <>
            <Button
              weight="danger"
              icon={<Inbox aria-hidden className="size-4" />}
              disabled={working.length === 0 || collect.isPending}
              onClick={() => setCollecting(true)}
            >
              {t('live:collect')}
            </Button>
            <Button
              weight="main"
              icon={<Play aria-hidden className="size-4" />}
              disabled={pause.isPending}
              onClick={() => pause.mutate(false)}
            >
              {t('live:goOn')}
            </Button>
          </>
        ) : board.closed ? null : (
          <Button
            icon={<Pause aria-hidden className="size-4" />}
            disabled={pause.isPending}
            onClick={() => pause.mutate(true)}
          >
            {t('live:pause')}
          </Button>
        )}
      </div>
      <Refused error={pause.error ?? lower.error ?? collect.error} />
      {pausedAt ? <Notice kind="warn">{t('live:pausedSince', { when: dateTime(pausedAt) })}</Notice> : null}
      {collect.data ? (
        <Notice kind={collect.data.notTaken.length > 0 ? 'warn' : 'good'}>
          <p>
            {t('live:collected', { count: collect.data.handedIn })}{' '}
            {collect.data.empty > 0 ? t('live:collectedEmpty', { count: collect.data.empty }) : null}
          </p>
          {collect.data.notTaken.map(({ name, code }) => (
            <p key={name}>{t('live:notTaken', { name, why: t(`ui:error.${code}`) })}</p>
          ))}
        </Notice>
      ) : null}
      <Sheet className="flex flex-col gap-1">
        <h2 className="text-lg">{t('live:forming')}</h2>
        {forming.length === 0 ? <p className="text-quiet">{t('live:formingNone')}</p> : null}
        <ul>
          {forming.map(([name, some]) => (
            <li key={name} className="flex flex-wrap items-center gap-x-4">
              <span>{t('live:formingCount', { name: t(`craft:slip.${name}`), count: some.length })}</span>
              <Button
                weight="quiet"
                className="text-sm"
                onClick={() =>
                  setHinting({ title: t('live:hintThese', { count: some.length }), studentIds: idsOf(some) })
                }
              >
                {t('live:hintThese', { count: some.length })}
              </Button>
            </li>
          ))}
        </ul>
      </Sheet>
      {students.length === 0 ? (
        <Empty>{t('live:nobody')}</Empty>
      ) : (
        <table className="bg-sheet border-line w-full border text-start max-wide:block">
          <thead className="max-wide:sr-only">
            <tr className="text-quiet text-sm [&>*]:p-2 [&>*]:text-start [&>*]:font-semibold">
              <th scope="col">{t('live:student')}</th>
              <th scope="col">{t('live:step')}</th>
              <th scope="col">{t('live:since')}</th>
              <th scope="col">{t('live:time')}</th>
              <th scope="col">{t('live:shows')}</th>
              <th scope="col" aria-label={t('live:hint')} />
            </tr>
          </thead>
          <tbody className="max-wide:block">
            {inOrder(students).map((student) => (
              <StudentRow
                key={student.studentId}
                board={board}
                student={student}
                now={now}
                onHint={() =>
                  setHinting({
                    title: t('live:hintTo', { name: student.name }),
                    studentIds: [student.studentId],
                  })
                }
                onSee={() => setSeeing(student)}
                onLower={() => lower.mutate(student.studentId)}
              />
            ))}
          </tbody>
        </table>
      )}
      {hinting ? (
        <HintDialog assignmentId={assignmentId} {...hinting} onClose={() => setHinting(null)} />
      ) : null}
      {seeing ? (
        <DraftDialog
          assignmentId={assignmentId}
          studentId={seeing.studentId}
          name={seeing.name}
          onClose={() => setSeeing(null)}
        />
      ) : null}
      <Confirm
        open={collecting}
        danger
        title={t('live:collectTitle')}
        text={t('live:collectText', { count: working.length })}
        confirm={t('live:collect')}
        busy={collect.isPending}
        onCancel={() => setCollecting(false)}
        onConfirm={() => collect.mutate()}
      />
    </div>
  );
}

/** A class at work: who is at which step, what forms in what is written, who asks for help. */
export function LivePage() {
  const { assignmentId = '' } = useParams();
  const client = useQueryClient();
  const query = useQuery({
    queryKey: ['live', assignmentId],
    queryFn: () => api<LiveBoard>('GET', `/api/assignments/${assignmentId}/live`),
    staleTime: 0,
  });
  const line = useLive(assignmentId, () => client.invalidateQueries({ queryKey: ['live', assignmentId] }));
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  return <Board board={query.data} toldAt={query.dataUpdatedAt} line={line} />;
}
