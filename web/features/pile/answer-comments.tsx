import type { EducatorResult } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { CommentList } from '../marking/comments';
import { CommentDialog } from './comment-form';
import { pileQuery, usePileActions } from './use-pile';
import '../../lib/words/pile';

/** Comments on one answer, where it is read whole; phrases are those of the pile. */
export function AnswerComments({
  result: { attemptId, assignmentId, comments, grade },
}: {
  result: Pick<EducatorResult, 'attemptId' | 'assignmentId' | 'comments' | 'grade'>;
}) {
  const { t } = useTranslation('pile');
  const [open, setOpen] = useState(false);
  const actions = usePileActions(assignmentId);
  const pile = useQuery({ ...pileQuery(assignmentId), enabled: open });
  return (
    <>
      <CommentList comments={comments} assignmentId={assignmentId} editable />
      <div>
        <Button onClick={() => setOpen(true)}>{t('comment.say')}</Button>
      </div>
      {open ? (
        <CommentDialog
          attemptIds={[attemptId]}
          misconceptions={grade.misconceptions.map(({ name }) => name)}
          phrases={pile.data?.phrases ?? []}
          actions={actions}
          onClose={() => setOpen(false)}
        />
      ) : null}
    </>
  );
}
