import type { Hint } from '@cimbel/contract';
import { useTranslation } from 'react-i18next';
import { dateTime } from '../../lib/i18n';
import { Sheet } from '../../ui/panel';
import '../../lib/words/live';

/** What an educator said, oldest first. */
export function HintList({ hints }: { hints: readonly Hint[] }) {
  const { t } = useTranslation('live');
  return (
    <ul className="flex flex-col gap-2">
      {hints.map(({ id, text, by, at }) => (
        <li key={id} className="border-accent border-s-4 ps-3">
          <p className="whitespace-pre-line">{text}</p>
          <p className="text-quiet text-sm">{t('by', { name: by, when: dateTime(at) })}</p>
        </li>
      ))}
    </ul>
  );
}

/** Hints beside the mark of the attempt they were given on; nothing where there were none. */
export function HintsOfAttempt({ hints }: { hints: readonly Hint[] }) {
  const { t } = useTranslation('live');
  if (hints.length === 0) return null;
  return (
    <Sheet className="flex flex-col gap-2">
      <h2 className="text-lg">{t('hintsTitleWorked')}</h2>
      <HintList hints={hints} />
    </Sheet>
  );
}
