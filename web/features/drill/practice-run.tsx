import type { DrillAnswer, MyPractice } from '@cimbel/contract';
import {
  afterAnswer,
  DRILL_EDITION,
  ideaOf,
  markItem,
  patternOf,
  questionName,
  type AskedItem,
  type DrillContext,
  type Item,
  type ItemSpec,
  type Memory,
  type Response,
  type Skill,
} from '@cimbel/core/drill';
import { Square } from 'lucide-react';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { newId } from '../../lib/id';
import { useShortcuts } from '../../lib/shortcuts';
import { forget, keep, readKept } from '../../lib/storage';
import { makeItem, makeNext } from '../../workers/drill-maker';
import type { DrillMade } from '../../workers/drill.worker';
import { paintInWorker } from '../../workers/tress-painter';
import { Button } from '../../ui/button';
import { Key } from '../../ui/key';
import { Loading, Notice } from '../../ui/panel';
import { useIsWide } from '../../ui/use-is-wide';
import { Figures } from './figures';
import { ownLineOf } from './own-line';
import { ItemCard } from './item-card';
import type { AnswerFeedback } from './feedback';
import { hairSize } from './sizes';
import { PracticeSummary, type Done } from './practice-summary';
import { Unsent } from './unsent';
import { PageTitle } from '../../ui/page-title';
import '../../lib/words/reading';

export interface PracticeRun {
  skills: readonly Skill[];
  minutes: number;
  context: DrillContext;
  classId: string | null;
  practiceId: string | null;
}

const drawSeed = () => crypto.getRandomValues(new Uint32Array(1))[0];

/** The next question, made while the last one is being looked at. */
function useNext(run: PracticeRun, memory: Memory, asked: readonly AskedItem[]) {
  const wide = useIsWide();
  const before = useRef<AskedItem[]>([...asked]);
  const ready = useRef<Promise<DrillMade | null> | null>(null);
  const prepare = useCallback(
    (from: Memory) => {
      const wanted = {
        skills: run.skills,
        memory: from,
        now: Date.now(),
        seed: drawSeed(),
        before: before.current,
      };
      ready.current = makeNext(wanted, run.context).then((drillMade) => {
        // Its hair is drawn ahead too, at the size it will be shown in.
        const ratio = Math.min(2, window.devicePixelRatio || 1);
        const { width, height } = hairSize(drillMade?.item.question.pictures.length ?? 0, wide);
        drillMade?.item.question.pictures.forEach(
          ({ look }) =>
            void paintInWorker({ kind: 'lock', look }, { width: width * ratio, height: height * ratio }),
        );
        return drillMade;
      });
    },
    [run, wide],
  );
  const take = useCallback(async () => {
    if (!ready.current) prepare(memory);
    const drillMade = await ready.current;
    ready.current = null;
    return drillMade;
  }, [memory, prepare]);
  /** What was asked and what came of it: the next question goes by it. */
  const note = (asked: AskedItem) => (before.current = [...before.current, asked].slice(-60));
  return { prepare, take, note, before };
}

/** What of a sitting is kept while its page is left. */
interface KeptSitting {
  /** When it began, ms since 1970. */
  begun: number;
  done: Done[];
  ideas: readonly (string | null)[];
  before: readonly AskedItem[];
  /** The question that is open; null between two. */
  spec: ItemSpec | null;
}
/** The sitting that was left here, while its minutes are not over. */
function keptSitting(place: string | null, minutes: number): KeptSitting | null {
  const kept = place === null ? null : readKept<KeptSitting>(place, 'tab');
  return kept && Date.now() < kept.begun + minutes * 60_000 ? kept : null;
}

/** A sitting of practice: questions until the minutes are over or the student has had enough. */
export function PracticeRun({
  run,
  memory: known,
  onAnswer,
  waiting,
  onLeave,
  preview = false,
  place = null,
}: {
  run: PracticeRun;
  memory: Memory;
  /** Keeps an answer; in a preview nothing is kept. */
  onAnswer: (answer: DrillAnswer) => void;
  /** Answers not yet with the server. */
  waiting: number;
  onLeave: () => void;
  preview?: boolean;
  /** Name under which the sitting is kept in this tab, so that who leaves for a page of the handbook goes on; null for not at all. */
  place?: string | null;
}) {
  const { t } = useTranslation();
  const [kept] = useState(() => keptSitting(place, run.minutes));
  const [memory, setMemory] = useState(known);
  const [made, setMade] = useState<DrillMade | 'making' | 'nothing' | 'failed'>('making');
  const [toldOf, setTold] = useState<{ spec: ItemSpec; told: AnswerFeedback } | null>(null);
  const [ideas, setIdeas] = useState<readonly (string | null)[]>(kept?.ideas ?? []);
  const [assisted, setAssisted] = useState(false);
  const [done, setDone] = useState<Done[]>(kept?.done ?? []);
  const [ended, setEnded] = useState(false);
  const [begun] = useState(() => kept?.begun ?? Date.now());
  const [now, setNow] = useState(() => Date.now());
  const shownAt = useRef(0);
  // Keys can come faster than the screen is drawn: a question is answered once, and left once.
  const answered = useRef<ItemSpec | null>(null);
  const moving = useRef(false);
  /** The question whose figures were looked at: it stays assisted, though they be hidden again. */
  const helped = useRef<ItemSpec | null>(null);
  const { prepare, take, note, before } = useNext(run, memory, kept?.before ?? []);

  const show = useCallback(async () => {
    if (moving.current) return;
    moving.current = true;
    try {
      const next = await take();
      shownAt.current = Date.now();
      setMade(next ?? 'nothing');
    } catch {
      setMade('failed');
    } finally {
      moving.current = false;
    }
  }, [take]);
  const first = useRef(true);
  useEffect(() => {
    if (!first.current) return;
    first.current = false;
    // The question one was at; where there is none, or it is no longer made, another.
    const again = kept?.spec ? makeItem(kept.spec, run.context).catch(() => null) : Promise.resolve(null);
    void again.then((drillMade) => {
      if (!drillMade) return show();
      shownAt.current = Date.now();
      setMade(drillMade);
    });
  }, [show, kept, run]);
  const open = typeof made === 'object' && toldOf?.spec !== made.spec ? made.spec : null;
  useEffect(() => {
    if (!place) return;
    if (ended) forget(place, 'tab');
    else if (made !== 'making')
      keep(place, { begun, done, ideas, before: before.current, spec: open } satisfies KeptSitting, 'tab');
  }, [place, ended, made, begun, done, ideas, before, open]);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  const secondsLeft = Math.max(0, run.minutes * 60 - Math.floor((now - begun) / 1000));

  const answer = (item: Item, spec: ItemSpec, response: Response) => {
    if (answered.current === spec) return;
    answered.current = spec;
    const mark = markItem(item, response);
    const withHelp = assisted || helped.current === spec;
    const at = Date.now();
    const seconds = (at - shownAt.current) / 1000;
    const idea = ideaOf(spec.skill, mark, item.question.light);
    const known = [...ideas, idea];
    setIdeas(known);
    note({ ...spec, name: questionName(item), idea });
    setTold({ spec, told: { item, response, mark, pattern: patternOf(known) } });
    setDone([...done, { skill: spec.skill, score: mark.score, seconds }]);
    const next = afterAnswer(memory, { ...spec, score: mark.score, assisted: withHelp, at });
    setMemory(next);
    prepare(next);
    onAnswer({
      id: newId(),
      classId: run.classId,
      practiceId: run.practiceId,
      edition: DRILL_EDITION,
      spec,
      rules: run.context.rules,
      scope: run.context.scope,
      ownLines: (run.context.ownLines ?? []).map(({ id, version }) => ({ id, version })),
      response,
      assisted: withHelp,
      at: new Date(at).toISOString(),
      seconds,
    });
  };
  // What was told belongs to its own question, whatever is on the screen by now.
  const told = typeof made === 'object' && toldOf?.spec === made.spec ? toldOf.told : null;
  const showFigures = (on: boolean) => {
    if (typeof made === 'object') helped.current = made.spec;
    setAssisted(on);
  };
  const goOn = () => (secondsLeft === 0 ? setEnded(true) : void show());
  useShortcuts({
    ...(told && !ended ? { Enter: goOn, ' ': goOn } : {}),
    ...(ended ? {} : { a: () => !told && showFigures(!assisted), x: () => setEnded(true) }),
  });

  if (ended) return <PracticeSummary done={done} waiting={waiting} onLeave={onLeave} preview={preview} />;
  const bar = (
    <div className="border-strong-line bg-room flex flex-wrap items-center gap-x-4 gap-y-1 border-b px-4 py-1">
      <PageTitle className="text-base">
        {t(preview ? 'reading.previewTitle' : 'reading.practiceTitle')}
      </PageTitle>
      <p className="text-sm">
        {t('reading.left', { minutes: Math.ceil(secondsLeft / 60) })} ·{' '}
        {t('reading.answered', { count: done.length })}
      </p>
      {preview ? null : <Unsent count={waiting} text={t('reading.waiting', { count: waiting })} />}
      <label className="ms-auto flex min-h-10 items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="accent-accent size-5"
          checked={assisted}
          disabled={told !== null}
          onChange={({ target }) => showFigures(target.checked)}
        />
        {t('reading.assisted')}
        <span className="max-md:hidden">
          <Key>A</Key>
        </span>
      </label>
      <Button
        className="px-3 text-sm"
        icon={<Square aria-hidden className="size-4" />}
        aria-keyshortcuts="x"
        onClick={() => setEnded(true)}
      >
        {t('reading.stop')}
        <span className="max-md:hidden">
          <Key>X</Key>
        </span>
      </Button>
    </div>
  );
  if (made === 'making') return <Loading />;
  if (made === 'nothing' || made === 'failed')
    return (
      <div className="mx-auto flex max-w-lg flex-col gap-4 p-6">
        <Notice kind="warn">{t(made === 'nothing' ? 'reading.nothingToAsk' : 'reading.notMade')}</Notice>
        <Button onClick={onLeave}>{t('action.back')}</Button>
      </div>
    );
  const { item, spec } = made;
  return (
    <div className="flex min-h-[calc(100dvh-3.3rem)] flex-col">
      {bar}
      <ItemCard
        // A new question is a new card: nothing typed into the last one may stay.
        key={`${spec.skill} ${spec.facet} ${spec.seed}`}
        question={{ ...item.question, ownLine: ownLineOf(item.question, run.context) }}
        hairs={item.question.pictures.map(({ look }) => ({ look }))}
        told={told}
        immediate
        onAnswer={(response) => answer(item, spec, response)}
        figures={assisted ? <Figures item={item} /> : null}
        below={
          <Button weight="main" className="self-start" aria-keyshortcuts="Enter" onClick={goOn} autoFocus>
            {t(secondsLeft === 0 ? 'reading.finish' : 'action.next')} <Key>↵</Key>
          </Button>
        }
      />
    </div>
  );
}

/** The run an address asks for: a practice that was set, or some skills of one's own choice. */
export function runFrom(
  params: URLSearchParams,
  practice: MyPractice,
  fallback: DrillContext,
  all: readonly Skill[],
): PracticeRun {
  const set = practice.practices.find(({ id }) => id === params.get('practice'));
  const named = (params.get('skills') ?? '').split(',');
  const own = all.filter((skill) => named.includes(skill));
  const inClass = practice.classes.find(({ id }) => id === set?.classId) ?? practice.classes[0];
  const minutes = Number(params.get('minutes'));
  return {
    skills: set ? set.skills : own.length > 0 ? own : all,
    minutes: minutes >= 1 && minutes <= 60 ? minutes : 5,
    context: {
      rules: inClass?.houseRules ?? fallback.rules,
      scope: set?.scope ?? fallback.scope,
      // Kept on a device from before lines of the college took part.
      ownLines: inClass?.ownLines ?? [],
    },
    classId: inClass?.id ?? null,
    practiceId: set?.id ?? null,
  };
}
