import type { LiveBoard, LiveStudent, WorkStep } from '@cimbel/contract';
import { Eye, Hand, MessageSquareText, TriangleAlert } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { dateTime } from '../../lib/i18n';
import { Button } from '../../ui/button';
import '../../lib/words/craft';
import '../../lib/words/live';

const MINUTE_MS = 60_000;
/** Not heard of for so many minutes, somebody has gone, or sits and thinks. */
const QUIET_MINUTES = 3;
/** After so many, when it was says more than how long ago. */
const LONG_MINUTES = 60;
/** Whole minutes from one time to another, 0 at least. */
const minutesFrom = (from: string, to: number): number =>
  Math.max(0, Math.floor((to - Date.parse(from)) / MINUTE_MS));

/** The steps of the service as a line of marks, the one that the student is at filled. */
function StepMarks({ steps, at, name }: { steps: readonly WorkStep[]; at: WorkStep; name: string }) {
  const index = steps.indexOf(at);
  return (
    <span className="inline-flex items-center gap-2">
      <span aria-hidden className="inline-flex gap-0.5">
        {steps.map((step, i) => (
          <span
            key={step}
            className={`h-4 w-2.5 rounded-[1px] border ${
              i === index
                ? 'bg-accent border-accent'
                : i < index
                  ? 'bg-line border-strong-line'
                  : 'border-strong-line'
            }`}
          />
        ))}
      </span>
      <span className="font-semibold whitespace-nowrap">{name}</span>
    </span>
  );
}

/** A student at work: who asks for help and what would hurt stand out by sign and word. */
export function StudentRow({
  board,
  student,
  now,
  onHint,
  onSee,
  onLower,
}: {
  board: LiveBoard;
  student: LiveStudent;
  /** The server's time, milliseconds. */
  now: number;
  onHint: () => void;
  onSee: () => void;
  onLower: () => void;
}) {
  const { t } = useTranslation(['live', 'craft', 'ui']);
  const { name, state, step, stepAt, seenAt, endsAt, handAt, forming, dangers, hints } = student;
  const working = state === 'working';
  const stepName = (at: WorkStep) => t(at === 'handIn' ? 'ui:bench.step.handIn' : `craft:benchStep.${at}`);
  const quiet = working && seenAt ? minutesFrom(seenAt, now) : 0;
  const last = hints.at(-1);
  return (
    <tr className="border-line border-t align-top max-wide:flex max-wide:flex-wrap max-wide:gap-x-4 max-wide:py-2 [&>*]:p-2 max-wide:[&>*]:py-0.5">
      <th scope="row" className="text-start font-semibold max-wide:w-full">
        {name}
        {handAt ? (
          <span className="text-warn flex flex-wrap items-center gap-1 text-sm">
            <Hand aria-hidden className="size-4" />
            {t('live:hand', { minutes: minutesFrom(handAt, now) })}
            <Button
              weight="quiet"
              className="min-h-6 text-sm"
              aria-label={t('live:handLower', { name })}
              onClick={onLower}
            >
              {t('live:lower')}
            </Button>
          </span>
        ) : null}
      </th>
      <td>
        {working && step ? (
          <StepMarks steps={board.steps} at={step} name={stepName(step)} />
        ) : (
          <span className="text-quiet">{t(`live:state.${state}`)}</span>
        )}
      </td>
      <td className="tabular-nums">
        {working && stepAt && quiet < LONG_MINUTES
          ? t('live:minutes', { minutes: minutesFrom(stepAt, now) })
          : null}
        {quiet >= QUIET_MINUTES ? (
          <span className="text-quiet block text-sm">
            {quiet < LONG_MINUTES
              ? t('live:quiet', { minutes: quiet })
              : t('live:lastSeen', { when: dateTime(seenAt!) })}
          </span>
        ) : null}
      </td>
      <td className="tabular-nums">
        {working && endsAt
          ? t('live:left', { minutes: minutesFrom(new Date(now).toISOString(), Date.parse(endsAt)) })
          : null}
      </td>
      <td className="max-wide:w-full">
        {dangers.length > 0 ? (
          <span className="text-bad flex items-center gap-1 font-semibold">
            <TriangleAlert aria-hidden className="size-4" />
            {t('live:danger')}
          </span>
        ) : null}
        {forming.map((misconception) => (
          <span key={misconception} className="block">
            {t(`craft:slip.${misconception}`)}
          </span>
        ))}
        {last ? (
          <span className="text-quiet block text-sm">
            {t(last.readAt ? 'live:hintRead' : 'live:hintUnread')}
          </span>
        ) : null}
      </td>
      <td className="wide:text-end">
        {working ? (
          <span className="inline-flex gap-2">
            <Button
              className="min-h-8 px-3 text-sm"
              icon={<MessageSquareText aria-hidden className="size-4" />}
              aria-label={t('live:hintTo', { name })}
              onClick={onHint}
            >
              {t('live:hint')}
            </Button>
            <Button
              className="min-h-8 px-3 text-sm"
              icon={<Eye aria-hidden className="size-4" />}
              aria-label={t('live:seeOf', { name })}
              onClick={onSee}
            >
              {t('live:see')}
            </Button>
          </span>
        ) : null}
      </td>
    </tr>
  );
}
