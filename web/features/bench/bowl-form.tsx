import type { StudentAssignment } from '@cimbel/contract';
import { bowlGrams, bowlRatio, bowlVol, MOST_SHADES, shadePartsOf, type Bowl } from '@cimbel/core/card';
import { hasDeveloper, hasShades, type Line } from '@cimbel/core/product';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { WeightInput } from '../../lib/units';
import { Button } from '../../ui/button';
import { Field, NumberInput, Tick } from '../../ui/field';
import { Facts, Sheet } from '../../ui/panel';
import { LineKey, ShadeChart } from './shade-chart';
import { BalanceBeam } from '../marking/balance';
import { Additions } from './additions';
import { BowlScale } from './bowl-scale';
import { pourName } from './words';
import { Ingredient } from './ingredient';
import { PourChoice } from './pour-choice';
import { recipeOf, workedOut } from './recipe';
import '../../lib/words/bench';

/** What is being put on the scale: a shade, the powder, or something poured, by its place. */
type Weighing = { kind: 'shade' | 'pour'; at: number } | { kind: 'product' };

/** What is in one bowl: shades or powder, developer, and how much of each. */
export function BowlForm({
  bowl,
  line,
  assignment,
  onChange,
}: {
  bowl: Bowl;
  line: Line;
  assignment: StudentAssignment;
  onChange: (bowl: Bowl) => void;
}) {
  const { t } = useTranslation();
  const [weighing, setWeighing] = useState<Weighing | null>(null);
  const [edited, setEdited] = useState<Partial<ReturnType<typeof recipeOf>>>({});
  const recipe = { ...recipeOf(bowl, line), ...edited };
  const pick = (place: 'shadeParts' | 'pourParts', count: number) =>
    Array.from({ length: count }, (_, i) => recipe[place][i] ?? 1);
  const shadeParts = pick('shadeParts', bowl.shades.length);
  const pourParts = pick('pourParts', bowl.developer.length);
  const setParts = (place: 'shadeParts' | 'pourParts', all: number[], at: number, parts: number) =>
    setEdited({ ...edited, [place]: all.map((value, i) => (i === at ? parts : value)) });
  const apply = () => {
    onChange(workedOut(bowl, line, { ...recipe, shadeParts, pourParts }));
    setEdited({});
  };
  const chosen = bowl.shades.map(({ label }) => label);
  const toggle = (label: string) => {
    const { shadeParts: _, ...rest } = edited;
    setEdited(rest);
    onChange({
      ...bowl,
      shades: chosen.includes(label)
        ? bowl.shades.filter((shade) => shade.label !== label)
        : [...bowl.shades, { label, grams: 0 }],
    });
  };
  const shadeGrams = (at: number, weight: number) =>
    onChange({
      ...bowl,
      shades: bowl.shades.map((shade, i) => (i === at ? { ...shade, grams: weight } : shade)),
    });
  const pourGrams = (at: number, weight: number) =>
    onChange({
      ...bowl,
      developer: bowl.developer.map((part, i) => (i === at ? { ...part, grams: weight } : part)),
    });
  const pours = hasDeveloper(line.kind);
  const vol = bowlVol(bowl);
  const ratio = bowlRatio(bowl);
  const named = (weighing: Weighing) =>
    weighing.kind === 'product'
      ? line.name
      : weighing.kind === 'shade'
        ? bowl.shades[weighing.at].label
        : pourName(t, bowl.developer[weighing.at].vol, line.kind);
  const weightOf = (from: Bowl, weighing: Weighing) =>
    weighing.kind === 'product'
      ? from.productGrams
      : weighing.kind === 'shade'
        ? from.shades[weighing.at].grams
        : from.developer[weighing.at].grams;
  const wish = Object.values(assignment.wish)[0] ?? assignment.placements[0]?.target;
  const parts = shadePartsOf(bowl, line);
  return (
    <div className="grid items-start gap-4 xl:grid-cols-[minmax(0,1fr)_20.5rem]">
      {hasShades(line.kind) ? (
        <div className="flex min-w-0 flex-col gap-2">
          <LineKey line={line} />
          <ShadeChart line={line} chosen={chosen} disabled={chosen.length >= MOST_SHADES} onPick={toggle} />
        </div>
      ) : (
        <Sheet>
          <Facts
            rows={[
              {
                term: t('bench.mix.ratio'),
                value: line.ratios.map((ratio) => t('bench.ratio', { ratio })).join(', '),
              },
              {
                term: t('bench.process.times', { line: line.name }),
                value: t('bench.process.standard', { minutes: line.minutes.standard }),
              },
            ]}
          />
        </Sheet>
      )}
      <div className="flex min-w-0 flex-col gap-4">
        <Sheet className="flex flex-col gap-3">
          <h3 className="text-lg">{t('bench.mix.shades')}</h3>
          {hasShades(line.kind) && bowl.shades.length === 0 ? (
            <p className="text-quiet">{t('bench.mix.noShades')}</p>
          ) : null}
          <ul>
            {bowl.shades.map(({ label, grams: weight }, i) => (
              <Ingredient
                key={label}
                name={label}
                parts={shadeParts[i]}
                weight={weight}
                onParts={(value) => setParts('shadeParts', shadeParts, i, value)}
                onWeight={(value) => shadeGrams(i, value)}
                onScale={() => setWeighing({ kind: 'shade', at: i })}
                onRemove={() => toggle(label)}
              />
            ))}
            {hasShades(line.kind) ? null : (
              <Ingredient
                name={line.name}
                parts={null}
                weight={bowl.productGrams}
                onWeight={(value) => onChange({ ...bowl, productGrams: value })}
                onScale={() => setWeighing({ kind: 'product' })}
              />
            )}
            {bowl.developer.map((part, i) => (
              <Ingredient
                key={part.vol}
                name={pourName(t, part.vol, line.kind)}
                parts={bowl.developer.length > 1 ? pourParts[i] : null}
                weight={part.grams}
                onParts={(value) => setParts('pourParts', pourParts, i, value)}
                onWeight={(value) => pourGrams(i, value)}
                onScale={() => setWeighing({ kind: 'pour', at: i })}
                onRemove={
                  bowl.developer.length > 1
                    ? () => onChange({ ...bowl, developer: bowl.developer.filter((_, at) => at !== i) })
                    : undefined
                }
              />
            ))}
          </ul>
          {pours ? <PourChoice bowl={bowl} line={line} onChange={onChange} /> : null}
          {pours ? <Additions bowl={bowl} onChange={onChange} /> : null}
          {line.additives?.[0] ? (
            <Tick
              label={t('bench.withAdditive', {
                name: line.additives[0].name,
                grams: line.additives[0].gramsPer100,
              })}
              on={bowl.additive}
              onChange={(additive) => onChange({ ...bowl, additive })}
            />
          ) : null}
          <div className="border-line flex flex-wrap items-end gap-3 border-t pt-3">
            <Field label={t('bench.mix.total')}>
              <WeightInput
                aria-label={t('bench.mix.total')}
                value={recipe.totalGrams}
                min={5}
                max={2000}
                step={5}
                className="w-20!"
                onValue={(totalGrams) => totalGrams !== null && setEdited({ ...edited, totalGrams })}
              />
            </Field>
            {pours ? (
              <Field label={t('bench.ratioField')}>
                <NumberInput
                  aria-label={t('bench.mix.ratio')}
                  value={recipe.ratio}
                  min={0.25}
                  max={4}
                  step={0.25}
                  className="w-20!"
                  onValue={(value) => value !== null && setEdited({ ...edited, ratio: value })}
                />
              </Field>
            ) : null}
            <Button weight="main" onClick={apply} disabled={hasShades(line.kind) && bowl.shades.length === 0}>
              {t('bench.workOut')}
            </Button>
          </div>
          <p className="text-quiet text-sm">
            {t('bench.bowlNow', {
              total: bowlGrams(bowl),
              ratio: ratio === null || !pours ? '–' : t('bench.ratio', { ratio }),
              vol: vol === null ? '–' : pourName(t, vol, line.kind),
            })}
          </p>
        </Sheet>
        {wish && parts.length > 0 && !wish.vivid ? (
          <BalanceBeam
            levelReached={wish.level}
            mix={parts}
            rules={assignment.houseRules}
            title={bowl.name}
          />
        ) : null}
      </div>
      {weighing ? (
        <BowlScale
          what={named(weighing)}
          wanted={(() => {
            const planned = weightOf(workedOut(bowl, line, { ...recipe, shadeParts, pourParts }), weighing);
            return planned > 0 ? planned : null;
          })()}
          inBowl={0}
          onClose={() => setWeighing(null)}
          onTake={(weight) => {
            if (weighing.kind === 'product') onChange({ ...bowl, productGrams: weight });
            else if (weighing.kind === 'shade') shadeGrams(weighing.at, weight);
            else pourGrams(weighing.at, weight);
            setWeighing(null);
          }}
        />
      ) : null}
    </div>
  );
}
