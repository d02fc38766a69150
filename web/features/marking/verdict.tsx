import type { MarkChange } from '@cimbel/contract';
import type { CriterionMark } from '@cimbel/core/mark';
import { Check, CircleDashed, CircleSlash, CornerDownRight, CircleDot } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import '../../lib/words/bench';

const VERDICTS = {
  right: { icon: Check, className: 'text-good' },
  followed: { icon: CornerDownRight, className: 'text-good' },
  near: { icon: CircleDot, className: 'text-warn' },
  wrong: { icon: CircleSlash, className: 'text-bad' },
  open: { icon: CircleDashed, className: 'text-quiet' },
};

/** Right, near, wrong or open: a word and a shape. */
export function VerdictMark({ mark }: { mark: Pick<CriterionMark, 'verdict' | 'followed'> }) {
  const { t } = useTranslation();
  const name = mark.followed ? 'followed' : mark.verdict;
  const { icon: Icon, className } = VERDICTS[name];
  return (
    <span className={`inline-flex items-center gap-1 whitespace-nowrap ${className}`}>
      <Icon aria-hidden className="size-4 shrink-0" />
      {t(`result.verdict.${name}`)}
    </span>
  );
}

/** What an educator changed of a mark, and why. */
export function MarkChanges({ changes }: { changes: readonly MarkChange[] }) {
  const { t } = useTranslation();
  return changes.map((change) => (
    <li key={change.at} className="border-accent mt-1 border-s-4 ps-2">
      {t('result.changed', { name: change.by, from: change.from, to: change.to, reason: change.reason })}
    </li>
  ));
}
