import type { SittingAnswer, SittingState, ShownQuestion } from '@cimbel/contract';
import type { Response } from '@cimbel/core/drill';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, asApiError } from '../../lib/api';
import { forget, keep, readKept } from '../../lib/storage';
import { onThisScreen } from '../../ui/hair-picture';

const AGAIN_AFTER_MS = 3000;

export interface Sitting {
  state: SittingState | null;
  failure: unknown;
  /** The question in front of the student; null while it is on its way. */
  question: { position: number; question: ShownQuestion } | null;
  position: number;
  /** Answers given here and not yet with the server. */
  waiting: number;
  millisecondsLeft: number;
  answer: (response: Response | null) => void;
  retry: () => void;
}

/**
 * A test as it is taken. Answers go out one after another, in order; without a connection they wait on the device, and
 * the question after the next one waits for them. The end is the server's.
 */
export function useSitting(id: string): Sitting {
  const place = `cimbel.sitting.${id}`;
  const [state, setState] = useState<SittingState | null>(null);
  const [failure, setFailure] = useState<unknown>(null);
  const [pending, setPending] = useState<readonly SittingAnswer[]>(
    () => readKept<SittingAnswer[]>(place) ?? [],
  );
  const [now, setNow] = useState(() => Date.now());
  const [clockAhead, setClockAhead] = useState(0);
  const [known, setKnown] = useState<ReadonlyMap<number, ShownQuestion>>(new Map());
  const sending = useRef(false);

  const take = useCallback(
    (next: SittingState) => {
      setClockAhead(new Date(next.now).getTime() - Date.now());
      setKnown(
        (before) => new Map([...before, ...next.questions.map((q) => [q.position, q.question] as const)]),
      );
      for (const { position, question } of next.questions) {
        // The hair of the next question is fetched before it is asked for.
        question.pictures.forEach((_, picture) => (new Image().src = pictureAddress(id, position, picture)));
      }
      setPending((before) => {
        const left = next.ended ? [] : before.filter(({ position }) => position >= next.position);
        if (left.length > 0) keep(place, left);
        else forget(place);
        return left;
      });
      setState(next);
      setFailure(null);
    },
    [id, place],
  );
  const load = useCallback(
    () =>
      api<SittingState>('GET', `/api/my/sittings/${id}`).then(take, (error: unknown) => setFailure(error)),
    [id, take],
  );
  useEffect(() => void load(), [load]);

  const [round, setRound] = useState(0);
  useEffect(() => {
    if (pending.length === 0 || sending.current) return;
    sending.current = true;
    let timer: ReturnType<typeof setTimeout> | undefined;
    api<SittingState>('POST', `/api/my/sittings/${id}/answers`, pending[0]).then(
      (next) => {
        sending.current = false;
        take(next);
      },
      (error: unknown) => {
        sending.current = false;
        // A clear no is the end of the sitting, or another device's answer: the server knows where we are.
        if (asApiError(error).status >= 400 && asApiError(error).status < 500) {
          setPending([]);
          forget(place);
          void load();
        } else timer = setTimeout(() => setRound((r) => r + 1), AGAIN_AFTER_MS);
      },
    );
    return () => clearTimeout(timer);
    // `round` is another try.
  }, [pending, round, id, place, take, load]);

  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(timer);
  }, []);
  const endsAt = state ? new Date(state.endsAt).getTime() : 0;
  const millisecondsLeft = Math.max(0, endsAt - (now + clockAhead));
  const timeUp = state !== null && !state.ended && millisecondsLeft === 0;
  useEffect(() => {
    if (!timeUp) return;
    // A little after the end, so that the server says it too.
    const timer = setTimeout(() => void load(), 6000);
    return () => clearTimeout(timer);
  }, [timeUp, load]);

  const position = (state?.position ?? 0) + pending.length;
  const question = known.get(position);
  return {
    state,
    failure,
    position,
    question: question ? { position, question } : null,
    waiting: pending.length,
    millisecondsLeft,
    answer: (response) => {
      if (timeUp) return;
      const next = [...pending, { position, response }];
      keep(place, next);
      setPending(next);
    },
    retry: () => void load(),
  };
}

/** Drawn by the server at the density of this screen. */
export const pictureAddress = (id: string, position: number, picture: number) =>
  onThisScreen(`/api/my/sittings/${id}/picture?position=${position}&picture=${picture}`);
