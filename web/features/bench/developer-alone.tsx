import type { StudentAssignment } from '@cimbel/contract';
import { bowlRatio, bowlVol, colourGrams, type Bowl, type RecordCard } from '@cimbel/core/card';
import { hasDeveloper, type Line } from '@cimbel/core/product';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Empty, Sheet } from '../../ui/panel';
import type { DraftOf } from './use-draft';
import { BowlScale } from './bowl-scale';
import { Ingredient } from './ingredient';
import { PourChoice } from './pour-choice';
import { useBowlWords } from './words';
import '../../lib/words/bench';

/** A bowl whose colour stands: what is poured to it, and how much. */
function Pour({ bowl, line, onChange }: { bowl: Bowl; line: Line; onChange: (bowl: Bowl) => void }) {
  const { t } = useTranslation();
  const bowlWords = useBowlWords();
  const [weighing, setWeighing] = useState<number | null>(null);
  const name = (vol: number) => (vol === 0 ? t('answer.water') : t('answer.pour', { vol }));
  const weigh = (at: number, grams: number) =>
    onChange({
      ...bowl,
      developer: bowl.developer.map((part, i) => (i === at ? { ...part, grams } : part)),
    });
  const ratio = bowlRatio(bowl);
  const vol = bowlVol(bowl);
  const chosen = weighing === null ? undefined : bowl.developer[weighing];
  return (
    <Sheet className="flex flex-col gap-3">
      <h3 className="text-lg">{t('bench.bowlTab', { name: bowl.name, line: line.name })}</h3>
      <p>{bowlWords({ ...bowl, developer: [] }, [line])}</p>
      <p className="text-quiet text-sm">{t('bench.colourInBowl', { weight: colourGrams(bowl) })}</p>
      <PourChoice bowl={bowl} line={line} onChange={onChange} />
      <ul>
        {bowl.developer.map((part, i) => (
          <Ingredient
            key={part.vol}
            name={name(part.vol)}
            parts={null}
            weight={part.grams}
            onWeight={(grams) => weigh(i, grams)}
            onScale={() => setWeighing(i)}
            onRemove={
              bowl.developer.length > 1
                ? () => onChange({ ...bowl, developer: bowl.developer.filter((_, at) => at !== i) })
                : undefined
            }
          />
        ))}
      </ul>
      <p className="text-quiet text-sm">
        {t('bench.pourNow', {
          ratio: ratio ? t('bench.ratio', { ratio }) : '–',
          vol: vol === null ? '–' : t('answer.pour', { vol }),
        })}
      </p>
      {chosen && weighing !== null ? (
        <BowlScale
          what={name(chosen.vol)}
          wanted={null}
          inBowl={0}
          onClose={() => setWeighing(null)}
          onTake={(grams) => {
            weigh(weighing, grams);
            setWeighing(null);
          }}
        />
      ) : null}
    </Sheet>
  );
}

/** A short exercise: the bowls are mixed but for the developer. */
export function DeveloperAlone({
  assignment,
  draft,
}: {
  assignment: StudentAssignment;
  draft: DraftOf<RecordCard>;
}) {
  const { t } = useTranslation();
  const { answer, change } = draft;
  const poured = answer.bowls.flatMap((bowl) => {
    const line = assignment.lines.find(({ id }) => id === bowl.lineId);
    return line && hasDeveloper(line.kind) ? [{ bowl, line }] : [];
  });
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-2xl">{t('bench.developerTitle')}</h2>
      <p>{t('bench.developerHint')}</p>
      {poured.length === 0 ? <Empty>{t('bench.nothingToPour')}</Empty> : null}
      <div className="grid items-start gap-4 lg:grid-cols-2">
        {poured.map(({ bowl, line }) => (
          <Pour
            key={bowl.name}
            bowl={bowl}
            line={line}
            onChange={(next) =>
              change({ bowls: answer.bowls.map((bowl) => (bowl.name === next.name ? next : bowl)) })
            }
          />
        ))}
      </div>
    </div>
  );
}
