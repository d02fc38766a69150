import type { StudentExercise } from '@cimbel/contract';
import type { Answer } from '@cimbel/core/grade';
import { bowlFromTotal, splitByParts } from '@cimbel/core/measure';
import { X } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { WeightInput } from '../../lib/units';
import { Field, NumberInput } from '../../ui/field';
import { Facts, Sheet } from '../../ui/panel';
import { DeveloperPour } from './pour';
import { LineKey, ShadeChart } from './shade-chart';
import type { Draft } from './use-draft';

const MOST_SHADES = 3;

/** What goes on the scale, from parts, ratio and the amount in all. */
function Weights({ answer }: { answer: Answer }) {
  const { t } = useTranslation();
  const { shades, ratio, totalGrams, developer } = answer;
  if (shades.length === 0 || ratio === null || totalGrams === null) {
    return <p className="text-quiet text-sm">{t('bench.mix.weighOpen')}</p>;
  }
  const bowl = bowlFromTotal(totalGrams, ratio);
  const ofShade = splitByParts(
    bowl.colourGrams,
    shades.map(({ parts }) => parts),
  );
  const ofDeveloper = splitByParts(
    bowl.developerGrams,
    developer.map(({ parts }) => parts),
  );
  return (
    <Facts
      rows={[
        ...shades.map(({ label }, i) => ({
          term: label,
          value: t('answer.weighed', { weight: ofShade[i] }),
        })),
        ...developer.map(({ vol }, i) => ({
          term: vol === 0 ? t('answer.water') : t('answer.pour', { vol }),
          value: t('answer.weighed', { weight: ofDeveloper[i] }),
        })),
      ]}
    />
  );
}

export function Mix({ exercise, draft }: { exercise: StudentExercise; draft: Draft }) {
  const { t } = useTranslation();
  const { answer, change } = draft;
  const { line } = exercise;
  const chosen = answer.shades.map(({ label }) => label);
  const full = chosen.length >= MOST_SHADES;
  const toggle = (label: string) =>
    change({
      shades: chosen.includes(label)
        ? answer.shades.filter((shade) => shade.label !== label)
        : [...answer.shades, { label, parts: 1 }],
    });
  return (
    <div className="flex flex-col gap-5">
      <h2 className="text-2xl">{t('bench.mix.title')}</h2>
      <div className="flex flex-col gap-2">
        <h3 className="text-lg">{t('bench.mix.chart', { line: line.name })}</h3>
        <LineKey line={line} />
        <div className="grid items-start gap-4 xl:grid-cols-[auto_minmax(13rem,1fr)]">
          <ShadeChart line={line} chosen={chosen} disabled={full} onPick={toggle} />
          <Sheet className="flex flex-col gap-3 xl:sticky xl:top-16">
            <h3 className="text-lg">{t('bench.mix.shades')}</h3>
            <p className="text-quiet text-sm">{t(full ? 'bench.mix.full' : 'bench.mix.chartHint')}</p>
            {answer.shades.length === 0 ? <p className="text-quiet">{t('bench.mix.noShades')}</p> : null}
            <ul className="flex flex-col gap-2">
              {answer.shades.map(({ label, parts }, i) => (
                <li key={label} className="flex flex-wrap items-center gap-2">
                  <span className="font-display w-14 text-xl font-semibold">{label}</span>
                  <NumberInput
                    aria-label={t('bench.mix.parts', { label })}
                    value={parts}
                    min={0.25}
                    step={0.25}
                    className="w-20"
                    unit={t('bench.mix.partsShort')}
                    onValue={(value) =>
                      change({
                        shades: answer.shades.map((shade, at) =>
                          at === i ? { ...shade, parts: value ?? 1 } : shade,
                        ),
                      })
                    }
                  />
                  <button
                    type="button"
                    className="hover:bg-raised ms-auto rounded-sm p-2"
                    aria-label={t('bench.mix.removeShade', { label })}
                    onClick={() => toggle(label)}
                  >
                    <X aria-hidden className="size-5" />
                  </button>
                </li>
              ))}
            </ul>
          </Sheet>
        </div>
      </div>
      <div className="grid gap-5 lg:grid-cols-2">
        <Sheet className="flex flex-col gap-3">
          <h3 className="text-lg">{t('bench.mix.developer')}</h3>
          <DeveloperPour
            line={line}
            pour={answer.developer}
            onChange={(developer) => change({ developer })}
          />
        </Sheet>
        <Sheet className="flex flex-col gap-3">
          <Field label={t('bench.mix.ratio')}>
            <span className="flex flex-wrap items-center gap-2">
              {t('bench.mix.ratioTo')}
              <NumberInput
                aria-label={t('bench.mix.ratio')}
                value={answer.ratio}
                min={0.25}
                max={10}
                step={0.25}
                className="w-20"
                unit={t('bench.mix.ratioUnit')}
                onValue={(ratio) => change({ ratio })}
              />
            </span>
          </Field>
          <Field label={t('bench.mix.total')}>
            <WeightInput
              aria-label={t('bench.mix.total')}
              value={answer.totalGrams}
              min={5}
              max={2000}
              step={5}
              onValue={(totalGrams) => change({ totalGrams })}
            />
          </Field>
        </Sheet>
        <Sheet className="flex flex-col gap-3">
          <h3 className="text-lg">{t('bench.mix.weighOut')}</h3>
          <Weights answer={answer} />
        </Sheet>
      </div>
    </div>
  );
}
