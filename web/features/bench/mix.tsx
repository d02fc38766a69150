import type { StudentAssignment } from '@cimbel/contract';
import type { Bowl, RecordCard } from '@cimbel/core/card';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { Field, Select } from '../../ui/field';
import { Empty } from '../../ui/panel';
import type { DraftOf } from './use-draft';
import { BowlForm } from './bowl-form';
import { LeftoverForm } from './leftover-form';
import { emptyBowl, nextName, withLine } from './recipe';
import '../../lib/words/craft';
import '../../lib/words/educating';
import '../../lib/words/bench';

/** What is commonly left in a bowl for the ends. */
const LEFTOVER_GRAMS = 20;

export function MixStep({
  assignment,
  draft,
}: {
  assignment: StudentAssignment;
  draft: DraftOf<RecordCard>;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { answer, change } = draft;
  const [wanted, setWanted] = useState<string | null>(null);
  const bowl = answer.bowls.find(({ name }) => name === wanted) ?? answer.bowls[0];
  const line = assignment.lines.find(({ id }) => id === bowl?.lineId);
  const set = (next: Bowl) =>
    change({ bowls: answer.bowls.map((bowl) => (bowl.name === next.name ? next : bowl)) });
  const free = nextName(answer.bowls);
  const add = () => {
    if (!free) return;
    change({ bowls: [...answer.bowls, emptyBowl(free)] });
    setWanted(free);
  };
  /** The bowl one looks at, or the one it came from: what is left of it can begin another. */
  const origin = bowl?.from ? undefined : bowl?.lineId ? bowl : undefined;
  const addFrom = ({ name }: Bowl) => {
    if (!free) return;
    change({
      bowls: [...answer.bowls, { ...emptyBowl(free), from: { bowl: name, grams: LEFTOVER_GRAMS } }],
    });
    setWanted(free);
  };
  const remove = (name: string) =>
    change({
      // What was begun from it goes with it.
      bowls: answer.bowls.filter((bowl) => bowl.name !== name && bowl.from?.bowl !== name),
      steps: answer.steps.filter(
        (application) =>
          application.bowl !== name &&
          answer.bowls.find((bowl) => bowl.name === application.bowl)?.from?.bowl !== name,
      ),
    });
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-2xl">{t('bench.mixTitle')}</h2>
      <div className="flex flex-wrap items-center gap-2" role="group" aria-label={t('bench.bowls')}>
        {answer.bowls.map(({ name, lineId, from }) => (
          <button
            key={name}
            type="button"
            aria-pressed={name === bowl?.name}
            onClick={() => setWanted(name)}
            className="border-strong-line bg-raised aria-pressed:border-accent aria-pressed:bg-accent aria-pressed:text-on-accent min-h-10 rounded-sm border px-3"
          >
            {t('bench.bowlTab', {
              name,
              line:
                assignment.lines.find(({ id }) => id === lineId)?.name ??
                (from ? t('bench.leftoverOf', from) : t('answer.none')),
            })}
          </button>
        ))}
        <Button icon={<Plus aria-hidden className="size-5" />} disabled={!free} onClick={add}>
          {t('bench.addBowl')}
        </Button>
        {origin ? (
          <Button weight="quiet" disabled={!free} onClick={() => addFrom(origin)}>
            {t('bench.addLeftover', { bowl: origin.name })}
          </Button>
        ) : null}
      </div>
      {bowl ? (
        <>
          <div className="flex flex-wrap items-end gap-4">
            {bowl.from ? null : (
              <Field label={t('bench.lineOf', { name: bowl.name })} className="w-72">
                <Select
                  value={bowl.lineId ?? ''}
                  onChange={({ target }) => {
                    const next = assignment.lines.find(({ id }) => id === target.value);
                    if (next) set(withLine(bowl, next));
                  }}
                >
                  <option value="" disabled>
                    {t('bench.pickLine')}
                  </option>
                  {assignment.lines.map(({ id, name, kind }) => (
                    <option key={id} value={id}>
                      {t('set.lineKind', { name, kind: t(`craft:kind.${kind}`) })}
                    </option>
                  ))}
                </Select>
              </Field>
            )}
            <Button
              weight="quiet"
              icon={<Trash2 aria-hidden className="size-4" />}
              onClick={() => remove(bowl.name)}
            >
              {t('bench.removeBowl', { name: bowl.name })}
            </Button>
          </div>
          {bowl.from ? <LeftoverForm bowl={bowl} bowls={answer.bowls} onChange={set} /> : null}
          {line ? (
            <BowlForm
              key={`${bowl.name} ${line.id}`}
              bowl={bowl}
              line={line}
              assignment={assignment}
              onChange={set}
            />
          ) : null}
        </>
      ) : (
        <Empty>{t('bench.noBowls')}</Empty>
      )}
    </div>
  );
}
