import type { Answer } from '@cimbel/core/grade';
import { blendVol, percentOfVol } from '@cimbel/core/measure';
import type { Line } from '@cimbel/core/shades';
import { useTranslation } from 'react-i18next';
import { Choice, NumberInput, Select } from '../../ui/field';

type Pour = Answer['developer'];

/** One strength of the line, or two poured together; 0 vol is water. */
export function DeveloperPour({
  line,
  pour,
  onChange,
}: {
  line: Line;
  pour: Pour;
  onChange: (pour: Pour) => void;
}) {
  const { t } = useTranslation();
  const [first, second] = pour;
  const name = (vol: number) => (vol === 0 ? t('answer.water') : t('answer.pour', { vol }));
  const others = [0, ...line.developersVol].filter((vol) => vol !== first?.vol);
  return (
    <div className="flex flex-col gap-3">
      <Choice
        label={t('bench.mix.pour')}
        value={first ? String(first.vol) : null}
        options={line.developersVol.map((vol) => ({ value: String(vol), text: name(vol) }))}
        onChange={(vol) => {
          const poured = { vol: Number(vol), parts: first?.parts ?? 1 };
          onChange(second && second.vol !== poured.vol ? [poured, second] : [poured]);
        }}
      />
      {first ? (
        <label className="flex flex-wrap items-center gap-2 text-sm">
          {t('bench.mix.second')}
          <span className="w-40">
            <Select
              value={second ? String(second.vol) : ''}
              onChange={({ target }) =>
                onChange(
                  target.value === ''
                    ? [{ ...first, parts: 1 }]
                    : [first, { vol: Number(target.value), parts: second?.parts ?? 1 }],
                )
              }
            >
              <option value="">{t('bench.mix.nothing')}</option>
              {others.map((vol) => (
                <option key={vol} value={vol}>
                  {name(vol)}
                </option>
              ))}
            </Select>
          </span>
        </label>
      ) : null}
      {second ? (
        <>
          <div className="flex flex-wrap gap-4">
            {[first, second].map((part, i) => (
              <NumberInput
                key={i}
                aria-label={t('bench.mix.partsOf', { name: name(part.vol) })}
                value={part.parts}
                min={0.5}
                step={0.5}
                className="w-20"
                unit={`${t('bench.mix.partsShort')} ${name(part.vol)}`}
                onValue={(parts) =>
                  onChange(pour.map((other, at) => (at === i ? { ...other, parts: parts ?? 1 } : other)))
                }
              />
            ))}
          </div>
          <p role="status" className="font-semibold">
            {t('bench.mix.makes', { vol: blendVol(pour), percent: percentOfVol(blendVol(pour)) })}
          </p>
        </>
      ) : null}
    </div>
  );
}
