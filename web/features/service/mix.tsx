import type { StudentService } from '@cimbel/contract';
import { bowlGrams, bowlRatio, bowlVol, shadePartsOf, type Bowl, type ServicePlan } from '@cimbel/core/plan';
import { hasDeveloper, hasShades, type Line } from '@cimbel/core/shades';
import { Plus, Scale, Trash2, X } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { Field, NumberInput, Select } from '../../ui/field';
import { Empty, Facts, Sheet } from '../../ui/panel';
import type { DraftOf } from '../bench/use-draft';
import { LineKey, ShadeChart } from '../bench/shade-chart';
import { BalanceBeam } from '../marking/balance';
import { BowlScale } from './bowl-scale';
import { emptyBowl, nextName, recipeOf, withLine, workedOut } from './recipe';
import { grams } from './words';

const MOST_SHADES = 4;

/** What is being put on the scale: a shade, the powder, or something poured, by its place. */
type Weighing = { kind: 'shade' | 'pour'; at: number } | { kind: 'product' };

/** One thing in the bowl: its parts, its weight, and the scale. */
function Ingredient({
  name,
  parts,
  weight,
  onParts,
  onWeight,
  onScale,
  onRemove,
}: {
  name: string;
  parts: number | null;
  weight: number;
  onParts?: (parts: number) => void;
  onWeight: (grams: number) => void;
  onScale: () => void;
  onRemove?: () => void;
}) {
  const { t } = useTranslation();
  return (
    <li className="border-line flex flex-wrap items-center gap-1 border-b py-1.5 last:border-b-0">
      <span className="font-display min-w-12 flex-1 text-lg font-semibold">{name}</span>
      {parts !== null && onParts ? (
        <NumberInput
          aria-label={t('bench.mix.parts', { label: name })}
          value={parts}
          min={0.25}
          step={0.25}
          className="w-14! px-1!"
          onValue={(value) => onParts(value ?? 1)}
        />
      ) : null}
      <NumberInput
        aria-label={t('service.gramsOf', { label: name })}
        value={weight > 0 ? weight : null}
        min={0}
        max={2000}
        step={0.1}
        className="w-16! px-1.5!"
        unit="g"
        onValue={(value) => onWeight(value ?? 0)}
      />
      <button
        type="button"
        className="border-strong-line bg-raised hover:bg-sheet inline-flex size-10 items-center justify-center rounded-sm border"
        aria-label={t('service.weigh', { label: name })}
        title={t('service.weigh', { label: name })}
        onClick={onScale}
      >
        <Scale aria-hidden className="size-5" />
      </button>
      {onRemove ? (
        <button
          type="button"
          className="hover:bg-raised rounded-sm p-1"
          aria-label={t('bench.mix.removeShade', { label: name })}
          onClick={onRemove}
        >
          <X aria-hidden className="size-5" />
        </button>
      ) : null}
    </li>
  );
}

function BowlForm({
  bowl,
  line,
  service,
  onChange,
}: {
  bowl: Bowl;
  line: Line;
  service: StudentService;
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
    setEdited({ ...edited, [place]: all.map((one, i) => (i === at ? parts : one)) });
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
  const named = (one: Weighing) =>
    one.kind === 'product'
      ? line.name
      : one.kind === 'shade'
        ? bowl.shades[one.at].label
        : bowl.developer[one.at].vol === 0
          ? t('answer.water')
          : t('answer.pour', { vol: bowl.developer[one.at].vol });
  const weightOf = (from: Bowl, one: Weighing) =>
    one.kind === 'product'
      ? from.productGrams
      : one.kind === 'shade'
        ? from.shades[one.at].grams
        : from.developer[one.at].grams;
  const wish = Object.values(service.wish)[0] ?? service.weave?.target;
  const parts = shadePartsOf(bowl, line);
  const free = [0, ...line.developersVol].filter((one) => !bowl.developer.some((part) => part.vol === one));
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
                value: line.ratios.map((one) => t('service.ratio', { ratio: one })).join(', '),
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
                name={part.vol === 0 ? t('answer.water') : t('answer.pour', { vol: part.vol })}
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
          {pours ? (
            <div className="flex flex-wrap items-center gap-2 text-sm">
              <label className="flex items-center gap-2">
                {t('bench.mix.pour')}
                <span className="w-28">
                  <Select
                    value={String(bowl.developer[0]?.vol ?? '')}
                    onChange={({ target }) =>
                      onChange({
                        ...bowl,
                        developer: [
                          { vol: Number(target.value), grams: bowl.developer[0]?.grams ?? 0 },
                          ...bowl.developer.slice(1).filter((part) => part.vol !== Number(target.value)),
                        ],
                      })
                    }
                  >
                    {line.developersVol.map((one) => (
                      <option key={one} value={one}>
                        {t('answer.pour', { vol: one })}
                      </option>
                    ))}
                  </Select>
                </span>
              </label>
              {bowl.developer.length === 1 ? (
                <label className="flex items-center gap-2">
                  {t('bench.mix.second')}
                  <span className="w-32">
                    <Select
                      value=""
                      onChange={({ target }) =>
                        target.value === ''
                          ? undefined
                          : onChange({
                              ...bowl,
                              developer: [...bowl.developer, { vol: Number(target.value), grams: 0 }],
                            })
                      }
                    >
                      <option value="">{t('bench.mix.nothing')}</option>
                      {free.map((one) => (
                        <option key={one} value={one}>
                          {one === 0 ? t('answer.water') : t('answer.pour', { vol: one })}
                        </option>
                      ))}
                    </Select>
                  </span>
                </label>
              ) : null}
            </div>
          ) : null}
          <div className="border-line flex flex-wrap items-end gap-3 border-t pt-3">
            <Field label={t('bench.mix.total')}>
              <NumberInput
                aria-label={t('bench.mix.total')}
                value={recipe.totalGrams}
                min={5}
                max={2000}
                step={5}
                className="w-20!"
                unit="g"
                onValue={(totalGrams) => totalGrams !== null && setEdited({ ...edited, totalGrams })}
              />
            </Field>
            {pours ? (
              <Field label={t('service.ratioField')}>
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
              {t('service.workOut')}
            </Button>
          </div>
          <p className="text-quiet text-sm">
            {t('service.bowlNow', {
              total: grams(bowlGrams(bowl)),
              ratio: ratio === null || !pours ? '–' : t('service.ratio', { ratio }),
              vol: vol === null ? '–' : t('answer.pour', { vol }),
            })}
          </p>
        </Sheet>
        {wish && parts.length > 0 && !wish.vivid ? (
          <BalanceBeam levelReached={wish.level} mix={parts} rules={service.houseRules} title={bowl.name} />
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

export function Mix({ service, draft }: { service: StudentService; draft: DraftOf<ServicePlan> }) {
  const { t } = useTranslation(['ui', 'craft']);
  const { answer: plan, change } = draft;
  const [wanted, setWanted] = useState<string | null>(null);
  const bowl = plan.bowls.find(({ name }) => name === wanted) ?? plan.bowls[0];
  const line = service.lines.find(({ id }) => id === bowl?.lineId);
  const set = (next: Bowl) =>
    change({ bowls: plan.bowls.map((one) => (one.name === next.name ? next : one)) });
  const free = nextName(plan.bowls);
  const add = () => {
    if (!free) return;
    change({ bowls: [...plan.bowls, emptyBowl(free)] });
    setWanted(free);
  };
  const remove = (name: string) =>
    change({
      bowls: plan.bowls.filter((one) => one.name !== name),
      steps: plan.steps.filter((step) => step.bowl !== name),
    });
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-2xl">{t('service.mixTitle')}</h2>
      <div className="flex flex-wrap items-center gap-2" role="group" aria-label={t('service.bowls')}>
        {plan.bowls.map(({ name, lineId }) => (
          <button
            key={name}
            type="button"
            aria-pressed={name === bowl?.name}
            onClick={() => setWanted(name)}
            className="border-strong-line bg-raised aria-pressed:border-accent aria-pressed:bg-accent aria-pressed:text-on-accent min-h-10 rounded-sm border px-3"
          >
            {t('service.bowlTab', {
              name,
              line: service.lines.find(({ id }) => id === lineId)?.name ?? t('answer.none'),
            })}
          </button>
        ))}
        <Button icon={<Plus aria-hidden className="size-5" />} disabled={!free} onClick={add}>
          {t('service.addBowl')}
        </Button>
      </div>
      {bowl ? (
        <>
          <div className="flex flex-wrap items-end gap-4">
            <Field label={t('service.lineOf', { name: bowl.name })} className="w-72">
              <Select
                value={bowl.lineId ?? ''}
                onChange={({ target }) => {
                  const next = service.lines.find(({ id }) => id === target.value);
                  if (next) set(withLine(bowl, next));
                }}
              >
                <option value="" disabled>
                  {t('service.pickLine')}
                </option>
                {service.lines.map(({ id, name, kind }) => (
                  <option key={id} value={id}>
                    {t('set.lineKind', { name, kind: t(`craft:kind.${kind}`) })}
                  </option>
                ))}
              </Select>
            </Field>
            <Button
              weight="quiet"
              icon={<Trash2 aria-hidden className="size-4" />}
              onClick={() => remove(bowl.name)}
            >
              {t('service.removeBowl', { name: bowl.name })}
            </Button>
          </div>
          {line ? (
            <BowlForm
              key={`${bowl.name} ${line.id}`}
              bowl={bowl}
              line={line}
              service={service}
              onChange={set}
            />
          ) : null}
        </>
      ) : (
        <Empty>{t('service.noBowls')}</Empty>
      )}
    </div>
  );
}
