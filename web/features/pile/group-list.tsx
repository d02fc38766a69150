import type { Pile } from '@cimbel/contract';
import { Check, TriangleAlert } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import '../../lib/words/craft';
import '../../lib/words/pile';

export type PileGroup = Pile['groups'][number];

/** How many of some answers are not new any more. */
export const lookedAt = (answers: PileGroup['answers']): number =>
  answers.filter(({ state }) => state !== 'new').length;

/** What a group is about, in a few words: the criteria that are lost in it. */
export function useGroupWords(): (group: Pick<PileGroup, 'shared'>) => string {
  const { t } = useTranslation(['pile', 'craft']);
  return ({ shared }) => {
    const criteria = [...new Set(shared.map(({ criterion }) => criterion))];
    return criteria.length === 0
      ? t('pile:nothingHeavy')
      : criteria.map((criterion) => t(`craft:criterion.${criterion}`)).join(' · ');
  };
}

/** The groups of a pile, one below the other; the one that is read stands out. */
export function GroupList({
  groups,
  max,
  chosen,
  onChoose,
}: {
  groups: readonly PileGroup[];
  max: number;
  chosen: string;
  onChoose: (name: string) => void;
}) {
  const { t } = useTranslation('pile');
  const words = useGroupWords();
  return (
    <nav aria-label={t('groups')}>
      <ul className="flex flex-col gap-1 max-wide:flex-row max-wide:overflow-x-auto">
        {groups.map((group) => {
          const { answers, name, dangers } = group;
          const [low, high] = [answers[0].points, Math.max(...answers.map(({ points }) => points))];
          const done = lookedAt(answers);
          const isChosen = name === chosen;
          return (
            <li key={name} className="max-wide:min-w-56">
              <button
                type="button"
                aria-current={isChosen ? 'true' : undefined}
                onClick={() => onChoose(name)}
                className={`border-line grid w-full grid-cols-[2.25rem_1fr] gap-x-3 rounded-sm border px-3 py-2 text-start ${
                  isChosen ? 'bg-sheet border-s-accent border-s-4' : 'bg-raised hover:bg-sheet'
                }`}
              >
                <span
                  className={`font-display row-span-2 self-center text-2xl font-semibold tabular-nums ${
                    done === answers.length ? 'text-quiet' : ''
                  }`}
                >
                  {answers.length}
                </span>
                <span className="line-clamp-2 text-sm font-semibold">
                  {dangers.length > 0 ? (
                    <TriangleAlert aria-hidden className="text-bad me-1 inline size-4" />
                  ) : null}
                  {words(group)}
                </span>
                <span className="text-quiet flex items-center gap-1 text-sm">
                  {t(low === high ? 'same' : 'span', { low, high, max })}
                  {done > 0 ? (
                    <span className="ms-auto inline-flex items-center gap-1">
                      <Check
                        aria-label={t('doneOf', { done, all: answers.length })}
                        className="text-good size-4"
                      />
                      {done < answers.length ? done : null}
                    </span>
                  ) : null}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </nav>
  );
}
