import type {
  AnswerState,
  AnswerStatesSet,
  MarkAlike,
  MarkedAlike,
  Pile,
  PileAnswer,
} from '@cimbel/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import '../../lib/words/pile';

export const pileQuery = (assignmentId: string) => ({
  queryKey: ['pile', assignmentId],
  queryFn: () => api<Pile>('GET', `/api/assignments/${assignmentId}/pile`),
});

/** What was done last, in words, and how it is taken back. */
interface Undoable {
  what: string;
  undo: () => Promise<unknown>;
}
/** What came of something done to the pile. */
interface Outcome {
  /** Null where there is nothing to take back. */
  undoable: Undoable | null;
  /** Answers that stayed as they were, and why. */
  left: { why: 'others' | 'alike'; count: number } | null;
}

/** What can be done to a pile: each at once for some answers, and each taken back. */
export function usePileActions(assignmentId: string) {
  const { t } = useTranslation('pile');
  const client = useQueryClient();
  const [done, setDone] = useState<Undoable[]>([]);
  const at = (path: string) => `/api/assignments/${assignmentId}/${path}`;
  const refresh = () =>
    Promise.all(
      [['pile', assignmentId], ['assignment', assignmentId], ['answer'], ['class']].map((queryKey) =>
        client.invalidateQueries({ queryKey }),
      ),
    );
  const act = useMutation({
    mutationFn: (run: () => Promise<Outcome>) => run(),
    onSuccess: ({ undoable }) => {
      if (undoable) setDone((all) => [...all, undoable]);
    },
    onSettled: refresh,
  });
  const takeBack = useMutation({
    mutationFn: ({ undo }: Undoable) => undo(),
    onSuccess: (_, undone) => setDone((all) => all.filter((one) => one !== undone)),
    onSettled: refresh,
  });
  const setStates = (answers: { attemptId: string; from: AnswerState; to: AnswerState }[]) =>
    api<AnswerStatesSet>('PUT', at('pile/states'), { answers });

  return {
    error: act.error ?? takeBack.error,
    pending: act.isPending || takeBack.isPending,
    left: act.data?.left ?? null,
    last: done.at(-1) ?? null,
    undo: () => {
      const last = done.at(-1);
      if (last && !takeBack.isPending) takeBack.mutate(last);
    },
    /** Says how far some answers are. */
    set: (answers: readonly PileAnswer[], to: AnswerState) => {
      const changing = answers.filter(({ state }) => state !== to);
      if (changing.length === 0) return;
      act.mutate(async () => {
        const { set, others } = await setStates(
          changing.map(({ attemptId, state }) => ({ attemptId, from: state, to })),
        );
        const back = changing
          .filter(({ attemptId }) => set.includes(attemptId))
          .map(({ attemptId, state }) => ({ attemptId, from: to, to: state }));
        return {
          undoable:
            back.length > 0
              ? { what: t(`done.${to}`, { count: back.length }), undo: () => setStates(back) }
              : null,
          left: others.length > 0 ? { why: 'others', count: others.length } : null,
        };
      });
    },
    /** Says the same of some answers. */
    comment: (words: { attemptIds: string[]; text: string; about: string | null; keep: boolean }) =>
      act.mutateAsync(async () => {
        const { ids } = await api<{ ids: string[] }>('POST', at('comments'), words);
        return {
          undoable: {
            what: t('done.comment', { count: ids.length }),
            undo: () => api('POST', at('comments/removal'), { ids }),
          },
          left: null,
        };
      }),
    /** Gives some answers the same points for one criterion. */
    alike: (change: MarkAlike) =>
      act.mutateAsync(async () => {
        const { batch, changed, left } = await api<MarkedAlike>('POST', at('pile/marks'), change);
        return {
          undoable: batch
            ? {
                what: t('done.alike', { count: changed.length }),
                undo: () => api('POST', at('pile/marks/removal'), { batch }),
              }
            : null,
          left: left.length > 0 ? { why: 'alike', count: left.length } : null,
        };
      }),
    dropPhrase: (id: string) =>
      act.mutate(async () => {
        await api('POST', '/api/phrases/removal', { id });
        return { undoable: null, left: null };
      }),
  };
}
export type PileActions = ReturnType<typeof usePileActions>;
