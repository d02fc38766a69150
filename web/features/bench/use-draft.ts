import type { DraftSaved } from '@cimbel/contract';
import { useCallback, useEffect, useReducer, useRef, useState } from 'react';
import { api, asApiError } from '../../lib/api';
import { draftReducer, type DraftState } from './draft-state';
import { draftPlace, keepDraft, keptDraft, writerFor, type KeptDraft } from './stored-draft';

/** What is being written, where it is kept, and what the server last had of it. */
export interface Drafted<A> {
  id: string;
  /** Which attempt it is, from 1. */
  attempt: number;
  /** Address of the exercise; the draft lies under it. */
  url: string;
  empty: A;
  /** What the device kept, in today's shape; null where it cannot be: an older version may have kept another. */
  ofToday: (kept: unknown) => A | null;
  draft: { answer: A; version: number; updatedAt: string } | null;
  submittedAt: string | null;
}

export type SaveState = 'saved' | 'saving' | 'unsaved' | 'offline' | 'conflict' | 'closed';

const SAVE_AFTER_MS = 600;
const RETRY_AFTER_MS = 4000;

function startFrom<A>(
  exercise: Drafted<A>,
  found: ReturnType<typeof keptDraft<A>>,
): { state: DraftState<A>; version: number; unsent: boolean; isOwn: boolean } {
  const server = exercise.draft;
  const kept = found?.draft;
  const isOwn = found?.isOwn ?? true;
  const own = !exercise.submittedAt && kept?.unsent ? exercise.ofToday(kept.answer) : null;
  if (kept && own)
    return { state: { past: [], present: own, future: [] }, version: kept.version, unsent: true, isOwn };
  // Without a network the exercise is as it was last fetched, and what was saved since is newer on the device.
  const newer = !exercise.submittedAt && kept && kept.version > (server?.version ?? 0);
  const saved = newer ? exercise.ofToday(kept.answer) : null;
  if (kept && saved)
    return {
      state: { past: [], present: saved, future: [] },
      version: kept.version,
      unsent: false,
      isOwn: true,
    };
  return {
    state: { past: [], present: server?.answer ?? exercise.empty, future: [] },
    version: server?.version ?? 0,
    unsent: false,
    isOwn: true,
  };
}

/**
 * A student's answer while it is being written: kept on the device with every change, sent to the server shortly after,
 * sent again when a connection comes back. Nothing is lost by a reload, a dropped connection or a server restart.
 */
export function useDraft<A extends object>(exercise: Drafted<A>, studentId: string) {
  const { id, url, attempt } = exercise;
  const place = draftPlace(studentId, id, attempt);
  const [start] = useState(() => startFrom(exercise, keptDraft<A>(place)));
  const [{ past, present, future }, dispatch] = useReducer(draftReducer<A>, start.state);
  const [save, setSave] = useState<SaveState>(
    exercise.submittedAt ? 'closed' : start.unsent ? 'unsaved' : 'saved',
  );
  const [savedAt, setSavedAt] = useState<string | null>(exercise.draft?.updatedAt ?? null);
  const version = useRef(start.version);
  const latest = useRef(present);
  const sent = useRef<A | null>(start.unsent ? null : start.state.present);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const sending = useRef(false);
  /** Which of this tab's saves was the last; begun by the clock, so that a reload goes on beyond it. */
  const sequence = useRef(0);
  /** False until what another tab left has been sent. */
  const isOwn = useRef(start.isOwn);
  /** The newest `send`, for timers set by an older one. */
  const sendAgain = useRef<() => Promise<void>>(async () => undefined);

  const send = useCallback(async () => {
    clearTimeout(timer.current);
    if (sending.current || sent.current === latest.current) return;
    sending.current = true;
    const answer = latest.current;
    setSave('saving');
    sequence.current = Math.max(sequence.current + 1, Date.now());
    try {
      const saved = await api<DraftSaved>('PUT', `${url}/draft`, {
        answer,
        version: version.current,
        attempt,
        writer: await writerFor(isOwn.current),
        sequence: sequence.current,
      });
      isOwn.current = true;
      version.current = saved.version;
      sent.current = answer;
      setSavedAt(saved.updatedAt);
      const all = answer === latest.current;
      keepDraft(place, {
        answer: latest.current,
        version: saved.version,
        unsent: !all,
      } satisfies KeptDraft<A>);
      setSave(all ? 'saved' : 'unsaved');
      if (!all) timer.current = setTimeout(() => void sendAgain.current(), SAVE_AFTER_MS);
    } catch (error) {
      const { code } = asApiError(error);
      if (code === 'attempt.newerElsewhere') setSave('conflict');
      else if (code === 'attempt.handedIn' || code === 'attempt.timeUp') setSave('closed');
      else {
        setSave('offline');
        timer.current = setTimeout(() => void sendAgain.current(), RETRY_AFTER_MS);
      }
    } finally {
      sending.current = false;
    }
  }, [url, place, attempt]);

  useEffect(() => {
    sendAgain.current = send;
  }, [send]);

  useEffect(() => {
    if (present === latest.current) return;
    latest.current = present;
    keepDraft(place, { answer: present, version: version.current, unsent: true } satisfies KeptDraft<A>);
    setSave((now) => (now === 'conflict' || now === 'closed' || now === 'offline' ? now : 'unsaved'));
    clearTimeout(timer.current);
    timer.current = setTimeout(() => void sendAgain.current(), SAVE_AFTER_MS);
  }, [present, place]);

  // What an earlier visit could not send goes out now; and again whenever the connection returns.
  useEffect(() => {
    const now = () => void sendAgain.current();
    if (sent.current === null) now();
    window.addEventListener('online', now);
    return () => {
      window.removeEventListener('online', now);
      clearTimeout(timer.current);
    };
  }, []);

  const settle = useCallback(
    async (choice: 'mine' | 'theirs') => {
      const fresh = await api<Pick<Drafted<A>, 'draft'>>('GET', url);
      version.current = fresh.draft?.version ?? 0;
      if (choice === 'theirs' && fresh.draft) {
        sent.current = fresh.draft.answer;
        latest.current = fresh.draft.answer;
        keepDraft(place, {
          answer: fresh.draft.answer,
          version: version.current,
          unsent: false,
        } satisfies KeptDraft<A>);
        dispatch({ type: 'replace', answer: fresh.draft.answer });
        setSave('saved');
      } else {
        sent.current = null;
        isOwn.current = true;
        await sendAgain.current();
      }
    },
    [url, place],
  );

  return {
    answer: present,
    change: useCallback((part: Partial<A>) => dispatch({ type: 'change', part }), []),
    undo: past.length > 0 ? () => dispatch({ type: 'undo' }) : null,
    redo: future.length > 0 ? () => dispatch({ type: 'redo' }) : null,
    save,
    savedAt,
    settle,
    /** What this tab last saw of the draft on the server, and who it is. */
    seen: useCallback(async () => ({ version: version.current, writer: await writerFor(isOwn.current) }), []),
    /** The server has newer work of another: which of the two goes on is asked. */
    meetNewer: useCallback(() => setSave('conflict'), []),
  };
}
/** An answer being written; what only shows where it is kept needs no more. */
export type DraftOf<A extends object> = ReturnType<typeof useDraft<A>>;
