import type { AnswerState, Pile, PileAnswer } from '@cimbel/contract';
import { MessageSquare, Scale } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { Key } from '../../ui/key';
import { Notice, Refused, Sheet } from '../../ui/panel';
import { useShortcuts } from '../../lib/shortcuts';
import { ReasonText } from '../marking/reasons';
import { AlikeDialog } from './alike-form';
import { AnswerRows } from './answer-rows';
import { CommentDialog } from './comment-form';
import { useGroupWords, type PileGroup } from './group-list';
import type { PileActions } from './use-pile';
import '../../lib/words/craft';
import '../../lib/words/pile';

/** What the answers of a group have in common, in the words of the one that speaks for it. */
function Shared({ group: { dangers, shared, misconceptions } }: { group: PileGroup }) {
  const { t } = useTranslation(['pile', 'craft']);
  if (dangers.length + shared.length + misconceptions.length === 0) return null;
  return (
    <ul className="flex flex-col gap-1 text-sm" aria-label={t('pile:shared')}>
      {dangers.map((danger) => (
        <li key={danger.code} className="text-bad font-semibold">
          <ReasonText reason={danger} />
        </li>
      ))}
      {shared.map(({ criterion, said }) => (
        <li key={`${criterion} ${said.code}`}>
          <strong>{t(`craft:criterion.${criterion}`)}:</strong> <ReasonText reason={said} />
        </li>
      ))}
      {misconceptions.map((name) => (
        <li key={name} className="text-quiet">
          {t(`craft:slip.${name}`)}.
        </li>
      ))}
    </ul>
  );
}

/** One group of a pile: what is alike in it, its answers, and what can be said of all of them at once. */
export function GroupSheet({
  group,
  pile,
  actions,
  chosen,
  nameOf,
  onChoose,
  onLeft,
}: {
  group: PileGroup;
  pile: Pick<Pile, 'rubric' | 'phrases'>;
  actions: PileActions;
  /** The answer that is looked at. */
  chosen: PileAnswer;
  nameOf: (answer: PileAnswer) => string;
  onChoose: (attemptId: string) => void;
  /** All that was new of the group has been looked at. */
  onLeft: () => void;
}) {
  const { t } = useTranslation('pile');
  const words = useGroupWords();
  const [open, setOpen] = useState<'comment' | 'alike' | null>(null);
  const { answers } = group;
  const fresh = answers.filter(({ state }) => state === 'new');
  const attemptIds = answers.map(({ attemptId }) => attemptId);
  const leave = () => {
    actions.set(fresh, 'looked');
    onLeft();
  };
  const setOne = (answer: PileAnswer, to: AnswerState) => actions.set([answer], to);
  const step = (by: number) => {
    const next = answers[answers.indexOf(chosen) + by];
    if (next) onChoose(next.attemptId);
  };
  useShortcuts({
    l: leave,
    o: () => setOne(chosen, chosen.state === 'looked' ? 'new' : 'looked'),
    t: () => setOne(chosen, chosen.state === 'talk' ? 'new' : 'talk'),
    c: () => setOpen('comment'),
    n: () => step(1),
    p: () => step(-1),
  });
  return (
    <Sheet className="flex min-w-0 flex-col gap-3">
      <h2 className="text-lg">
        {t('group', { count: answers.length })}
        {group.shared.length + group.dangers.length === 0 ? `: ${words(group)}` : null}
      </h2>
      <Shared group={group} />
      <AnswerRows
        answers={answers}
        chosen={chosen.attemptId}
        nameOf={nameOf}
        onChoose={onChoose}
        onState={setOne}
      />
      <div className="flex flex-wrap gap-2">
        <Button weight="main" disabled={fresh.length === 0 || actions.pending} onClick={leave}>
          {t('set.looked', { count: fresh.length || answers.length })} <Key>L</Key>
        </Button>
        <Button icon={<MessageSquare aria-hidden className="size-4" />} onClick={() => setOpen('comment')}>
          {t('comment.sayAll', { count: answers.length })} <Key>C</Key>
        </Button>
        <Button icon={<Scale aria-hidden className="size-4" />} onClick={() => setOpen('alike')}>
          {t('alike.open')}
        </Button>
      </div>
      {open ? null : <Refused error={actions.error} />}
      {actions.left ? (
        <Notice kind="info">
          {actions.left.why === 'others'
            ? t('others', { count: actions.left.count })
            : t('alike.left', { count: actions.left.count })}
        </Notice>
      ) : null}
      {open === 'comment' ? (
        <CommentDialog
          attemptIds={attemptIds}
          misconceptions={group.misconceptions}
          phrases={pile.phrases}
          actions={actions}
          onClose={() => setOpen(null)}
        />
      ) : null}
      {open === 'alike' ? (
        <AlikeDialog
          attemptIds={attemptIds}
          rubric={pile.rubric}
          first={group.shared[0]?.criterion ?? null}
          actions={actions}
          onClose={() => setOpen(null)}
        />
      ) : null}
    </Sheet>
  );
}
