import type { SittingResult } from '@cimbel/contract';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useShortcuts } from '../../lib/shortcuts';
import { Button } from '../../ui/button';
import { Key } from '../../ui/key';
import { ItemCard } from './item-card';
import { VerdictIcon, verdictOf } from './verdict';
import '../../lib/words/drills';
import '../../lib/words/reading';

/** A finished sitting, question by question: what was asked, what was answered, what is right and why. */
export function SittingResultView({ result }: { result: SittingResult }) {
  const { t } = useTranslation(['ui', 'drill']);
  const [at, setAt] = useState(0);
  const move = (by: number) => setAt(Math.min(result.lines.length - 1, Math.max(0, at + by)));
  useShortcuts({ j: () => move(1), k: () => move(-1) });
  const line = result.lines[at];
  return (
    <>
      <div className="flex flex-wrap items-center gap-2 px-4">
        <p className="font-display me-4 text-2xl">
          {t('reading.of', { points: result.score, max: result.total })}
        </p>
        <ol className="flex flex-wrap gap-1" aria-label={t('reading.test.lines')}>
          {result.lines.map(({ position, mark, item }) => {
            const state = verdictOf(mark);
            return (
              <li key={position}>
                <button
                  type="button"
                  aria-current={position === at ? 'step' : undefined}
                  aria-label={t('reading.test.line', {
                    number: position + 1,
                    skill: t(`drill:skill.${item.question.skill}`),
                    verdict: t(`reading.verdict.${state}`),
                  })}
                  onClick={() => setAt(position)}
                  className="border-line bg-sheet aria-[current=step]:border-accent flex size-10 flex-col items-center justify-center rounded-sm border-2 text-xs"
                >
                  <VerdictIcon state={state} className="size-4" />
                  {position + 1}
                </button>
              </li>
            );
          })}
        </ol>
        <span className="ms-auto flex gap-2">
          <Button onClick={() => move(-1)} disabled={at === 0} aria-keyshortcuts="k">
            {t('action.back')} <Key>K</Key>
          </Button>
          <Button onClick={() => move(1)} disabled={at === result.lines.length - 1} aria-keyshortcuts="j">
            {t('action.next')} <Key>J</Key>
          </Button>
        </span>
      </div>
      <ItemCard
        key={at}
        question={{ ...line.item.question, ownLine: line.ownLine }}
        hairs={line.item.question.pictures.map(({ look }) => ({ look }))}
        told={{ item: line.item, response: line.response, mark: line.mark }}
        immediate={false}
      />
    </>
  );
}
