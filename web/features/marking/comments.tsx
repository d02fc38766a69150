import { commentChangeSchema, type AnswerComment } from '@cimbel/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { dateTime } from '../../lib/i18n';
import { useFieldWords } from '../../lib/form';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Field, Textarea } from '../../ui/field';
import { Refused } from '../../ui/panel';
import '../../lib/words/pile';

/** Another wording for a comment of one's own, or none at all any more. */
function EditComment({
  comment,
  assignmentId,
  onClose,
}: {
  comment: AnswerComment;
  assignmentId: string;
  onClose: () => void;
}) {
  const { t } = useTranslation(['pile', 'ui']);
  const words = useFieldWords();
  const client = useQueryClient();
  const [text, setText] = useState(comment.text);
  const at = `/api/assignments/${assignmentId}/comments`;
  const change = useMutation({
    mutationFn: (to: string | null) =>
      to === null
        ? api('POST', `${at}/removal`, { ids: [comment.id] })
        : api('PUT', `${at}/${comment.id}`, { text: to }),
    onSuccess: async () => {
      await Promise.all(
        [['answer'], ['pile', assignmentId]].map((queryKey) => client.invalidateQueries({ queryKey })),
      );
      onClose();
    },
  });
  const parsed = commentChangeSchema.safeParse({ text });
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('pile:comment.edit')}
      actions={
        <>
          <Button weight="danger" disabled={change.isPending} onClick={() => change.mutate(null)}>
            {t('pile:comment.remove')}
          </Button>
          <Button onClick={onClose}>{t('ui:action.cancel')}</Button>
          <Button
            weight="main"
            disabled={change.isPending || !parsed.success}
            onClick={() => parsed.success && change.mutate(parsed.data.text)}
          >
            {t('ui:action.save')}
          </Button>
        </>
      }
    >
      <Field
        label={t('pile:comment.words')}
        hint={t('pile:comment.hint')}
        error={parsed.success ? null : words('comment')}
      >
        <Textarea rows={4} maxLength={500} value={text} onChange={(event) => setText(event.target.value)} />
      </Field>
      <Refused error={change.error} />
    </Dialog>
  );
}

/** What educators said of an answer; nothing where nobody did. */
export function CommentList({
  comments,
  assignmentId,
  editable = false,
}: {
  comments: readonly AnswerComment[];
  assignmentId: string;
  /** Whether one's own may be worded anew here. */
  editable?: boolean;
}) {
  const { t } = useTranslation(['pile', 'ui']);
  const [editing, setEditing] = useState<AnswerComment | null>(null);
  if (comments.length === 0) return null;
  return (
    <>
      <ul aria-label={t('pile:comment.title')} className="flex flex-col gap-2">
        {comments.map((comment) => (
          <li key={comment.id} className="border-accent border-s-4 ps-3">
            <p className="whitespace-pre-line">{comment.text}</p>
            <p className="text-quiet text-sm">
              {t('pile:comment.by', { name: comment.by, when: dateTime(comment.at) })}
              {editable && comment.stale ? (
                <span className="text-warn block">{t('pile:comment.stale')}</span>
              ) : null}
            </p>
            {editable && comment.own ? (
              <Button weight="quiet" className="min-h-6 px-0 text-sm" onClick={() => setEditing(comment)}>
                {t('pile:comment.edit')}
              </Button>
            ) : null}
          </li>
        ))}
      </ul>
      {editing ? (
        <EditComment comment={editing} assignmentId={assignmentId} onClose={() => setEditing(null)} />
      ) : null}
    </>
  );
}
