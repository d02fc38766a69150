import type { RecordCard } from '@cimbel/core/card';
import type { Line } from '@cimbel/core/product';
import { useTranslation } from 'react-i18next';
import { Facts, Sheet } from '../../ui/panel';
import { useCardWords } from './card-words';
import '../../lib/words/bench';

/** A plan as it stands on the card: readings, bowls, steps, and what the client takes home. */
export function RecordCardView({
  plan,
  lines,
  title,
}: {
  plan: RecordCard;
  lines: readonly Line[];
  /** Left out where the card stands under a heading already. */
  title?: string;
}) {
  const { t } = useTranslation();
  const { facts, timeline, home } = useCardWords()(plan, lines);
  const open = <span className="text-warn">{t('bench.handIn.notAnswered')}</span>;
  return (
    <Sheet className="flex flex-col gap-3">
      {title ? <h2 className="text-lg">{title}</h2> : null}
      <Facts rows={facts.map(({ term, value }) => ({ term, value: value ?? open }))} />
      {timeline.length > 0 ? (
        <ol className="flex flex-col gap-1 text-sm">
          {timeline.map(({ when, what }, i) => (
            <li key={i} className="flex flex-wrap gap-x-3">
              <strong className="w-24 tabular-nums">{when}</strong>
              <span>{what}</span>
            </li>
          ))}
        </ol>
      ) : null}
      {home ? <p className="text-sm">{home}</p> : null}
    </Sheet>
  );
}
