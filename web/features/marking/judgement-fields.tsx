import {
  CEILING_RULES,
  MOST_ADDED,
  isSameDecision,
  type CrucialDecision,
  type Decision,
  type EducatorRuling,
} from '@cimbel/core/mark';
import type { Criterion } from '@cimbel/core/exercise';
import type { Line } from '@cimbel/core/product';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Tick } from '../../ui/field';
import { Pick } from '../bench/pick';
import { useBowlWords } from '../bench/words';
import { useDecisionWords } from './decided';
import '../../lib/words/craft';
import '../../lib/words/educating';
import '../../lib/words/bench';

/** Criteria that an exercise may turn on; depth and tone are one choice of shade. */
const MAY_TURN_ON: readonly Criterion[] = [
  'route',
  'depth',
  'greyShare',
  'developer',
  'order',
  'timing',
  'safety',
];
const OF_HEAD: readonly Criterion[] = ['order', 'safety'];
const EVERYWHERE = '';

/** The educator's word on the marking: what the exercise turns on, how far the head counts, and what else is right. */
export function JudgementFields({
  found,
  parts,
  judgement,
  lines,
  onChange,
}: {
  /** Decisions that the search found. */
  found: readonly CrucialDecision[];
  /** Names of the parts of the head. */
  parts: readonly string[];
  judgement: EducatorRuling;
  lines: readonly Line[];
  onChange: (ruling: EducatorRuling) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const words = useDecisionWords();
  const bowlWords = useBowlWords();
  const [criterion, setCriterion] = useState<Criterion>('route');
  const [place, setPlace] = useState(EVERYWHERE);
  const { struck, added, ceilings, accepted } = judgement;
  const decisionOf = ({ criteria, places, role }: Decision): Decision => ({ criteria, places, role });
  const next: Decision = {
    criteria: criterion === 'depth' ? ['depth', 'tone'] : [criterion],
    places: OF_HEAD.includes(criterion) ? [] : place === EVERYWHERE ? [...parts] : [place],
    role: null,
  };
  const isThere = [...found, ...added].some((decision) => isSameDecision(decision, next));
  const partWord = (part: string) => {
    const [zone, woven] = part.split('.');
    return woven ? `${placeWord(t, zone)} (${t('bench.wovenShort')})` : placeWord(t, zone);
  };
  return (
    <>
      <fieldset className="flex flex-col gap-1">
        <legend className="mb-1 text-sm font-semibold">{t('result.decisions')}</legend>
        {found.length === 0 && added.length === 0 ? (
          <p className="text-quiet text-sm">{t('judgement.none')}</p>
        ) : null}
        {found.map((decision) => (
          <Tick
            key={JSON.stringify(decisionOf(decision))}
            label={words(decision)}
            on={!struck.some((other) => isSameDecision(decision, other))}
            onChange={(on) =>
              onChange({
                ...judgement,
                struck: on
                  ? struck.filter((other) => !isSameDecision(decision, other))
                  : [...struck, decisionOf(decision)],
              })
            }
          />
        ))}
        {added.map((decision) => (
          <div key={JSON.stringify(decision)} className="flex items-center gap-2">
            <span>{words({ ...decision, faults: null, costs: 0 })}</span>
            <Button
              weight="quiet"
              aria-label={t('judgement.remove', { what: words({ ...decision, faults: null, costs: 0 }) })}
              icon={<Trash2 aria-hidden className="size-4" />}
              onClick={() =>
                onChange({ ...judgement, added: added.filter((other) => !isSameDecision(decision, other)) })
              }
            />
          </div>
        ))}
        {added.length < MOST_ADDED ? (
          <div className="flex flex-wrap items-end gap-3">
            <Pick
              label={t('judgement.turnsOn')}
              value={criterion}
              options={MAY_TURN_ON.map((value) => ({ value, text: t(`craft:turnsOn.${value}`) }))}
              onChange={setCriterion}
            />
            {OF_HEAD.includes(criterion) ? null : (
              <Pick
                label={t('judgement.where')}
                value={place}
                options={[
                  { value: EVERYWHERE, text: t('judgement.everywhere') },
                  ...parts.map((value) => ({ value, text: partWord(value) })),
                ]}
                onChange={setPlace}
              />
            )}
            <Button
              disabled={isThere}
              icon={<Plus aria-hidden className="size-4" />}
              onClick={() => onChange({ ...judgement, added: [...added, next] })}
            >
              {t('judgement.add')}
            </Button>
          </div>
        ) : null}
      </fieldset>
      <fieldset className="flex flex-col gap-1">
        <legend className="mb-1 text-sm font-semibold">{t('judgement.ceilings')}</legend>
        <Choice
          label={t('judgement.ceilings')}
          value={ceilings}
          options={CEILING_RULES.map((value) => ({ value, text: t(`judgement.ceiling.${value}`) }))}
          onChange={(value) => onChange({ ...judgement, ceilings: value })}
        />
        <p className="text-quiet text-sm">{t('judgement.ceilingHint')}</p>
      </fieldset>
      {accepted.length > 0 ? (
        <fieldset className="flex flex-col gap-1">
          <legend className="mb-1 text-sm font-semibold">{t('judgement.accepted')}</legend>
          <ul className="text-sm">
            {accepted.map((card, at) => (
              <li key={at} className="border-line flex items-center gap-2 border-b py-1 last:border-b-0">
                <span className="flex-1">
                  {card.bowls.map((bowl) => `${bowl.name}: ${bowlWords(bowl, lines)}`).join(' · ')}
                </span>
                <Button
                  weight="quiet"
                  aria-label={t('judgement.takeBack', { count: at + 1 })}
                  icon={<Trash2 aria-hidden className="size-4" />}
                  onClick={() => onChange({ ...judgement, accepted: accepted.filter((_, i) => i !== at) })}
                />
              </li>
            ))}
          </ul>
        </fieldset>
      ) : null}
    </>
  );
}
