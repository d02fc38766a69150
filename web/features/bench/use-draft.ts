import type { DraftSaved } from '@cimbel/contract';
import { useCallback, useEffect, useReducer, useRef, useState } from 'react';
import { api, asApiError } from '../../lib/api';
import { keep, readKept } from '../../lib/storage';
import { writerOfTab } from '../../lib/writer';
import { draftReducer, type DraftState } from './draft-state';

/** What is being written, where it is kept, and what the server last had of it. */
export interface Drafted<A> {
  id: string;
  /** Address of the exercise; the draft lies under it. */
  url: string;
  empty: A;
  /** What the device kept, in today's shape; null where it cannot be: an older version may have kept another. */
  ofToday: (kept: unknown) => A | null;
  draft: { answer: A; version: number; updatedAt: string } | null;
  submittedAt: string | null;
}

/** What this device holds of an answer; `unsent` until the server has confirmed it. */
interface KeptDraft<A> {
  answer: A;
  version: number;
  unsent: boolean;
}

export type SaveState = 'saved' | 'saving' | 'unsaved' | 'offline' | 'conflict' | 'closed';

const SAVE_AFTER_MS = 600;
const RETRY_AFTER_MS = 4000;

function startFrom<A>(
  exercise: Drafted<A>,
  kept: KeptDraft<A> | null,
): { state: DraftState<A>; version: number; unsent: boolean } {
  const server = exercise.draft;
  const own = !exercise.submittedAt && kept?.unsent ? exercise.ofToday(kept.answer) : null;
  if (kept && own)
    return { state: { past: [], present: own, future: [] }, version: kept.version, unsent: true };
  return {
    state: { past: [], present: server?.answer ?? exercise.empty, future: [] },
    version: server?.version ?? 0,
    unsent: false,
  };
}

/**
 * A student's answer while it is being written: kept on the device with every change, sent to the server shortly after,
 * sent again when a connection comes back. Nothing is lost by a reload, a dropped connection or a server restart.
 */
export function useDraft<A extends object>(exercise: Drafted<A>, studentId: string) {
  const { id, url } = exercise;
  const place = `cimbel.draft.${studentId}.${id}`;
  const [start] = useState(() => startFrom(exercise, readKept<KeptDraft<A>>(place)));
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
  /** The newest `send`, for timers set by an older one. */
  const sendAgain = useRef<() => Promise<void>>(async () => undefined);

  const send = useCallback(async () => {
    clearTimeout(timer.current);
    if (sending.current || sent.current === latest.current) return;
    sending.current = true;
    const answer = latest.current;
    setSave('saving');
    try {
      const saved = await api<DraftSaved>('PUT', `${url}/draft`, {
        answer,
        version: version.current,
        writer: await writerOfTab(),
      });
      version.current = saved.version;
      sent.current = answer;
      setSavedAt(saved.updatedAt);
      const all = answer === latest.current;
      keep(place, { answer: latest.current, version: saved.version, unsent: !all } satisfies KeptDraft<A>);
      setSave(all ? 'saved' : 'unsaved');
      if (!all) timer.current = setTimeout(() => void sendAgain.current(), SAVE_AFTER_MS);
    } catch (error) {
      const { code } = asApiError(error);
      if (code === 'attempt.newerElsewhere') setSave('conflict');
      else if (code === 'attempt.handedIn') setSave('closed');
      else {
        setSave('offline');
        timer.current = setTimeout(() => void sendAgain.current(), RETRY_AFTER_MS);
      }
    } finally {
      sending.current = false;
    }
  }, [url, place]);

  useEffect(() => {
    sendAgain.current = send;
  }, [send]);

  useEffect(() => {
    if (present === latest.current) return;
    latest.current = present;
    keep(place, { answer: present, version: version.current, unsent: true } satisfies KeptDraft<A>);
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
        keep(place, {
          answer: fresh.draft.answer,
          version: version.current,
          unsent: false,
        } satisfies KeptDraft<A>);
        dispatch({ type: 'replace', answer: fresh.draft.answer });
        setSave('saved');
      } else {
        sent.current = null;
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
  };
}
/** An answer being written; what only shows where it is kept needs no more. */
export type DraftOf<A extends object> = ReturnType<typeof useDraft<A>>;
