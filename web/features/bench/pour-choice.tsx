import type { Bowl } from '@cimbel/core/card';
import type { Line } from '@cimbel/core/product';
import { useTranslation } from 'react-i18next';
import { Select } from '../../ui/field';
import { pourName } from './words';
import '../../lib/words/bench';

/** Which developer is poured, and what is poured besides: another strength, or water. */
export function PourChoice({
  bowl,
  line,
  onChange,
}: {
  bowl: Bowl;
  line: Line;
  onChange: (bowl: Bowl) => void;
}) {
  const { t } = useTranslation();
  const free = [0, ...line.developersVol].filter(
    (value) => !bowl.developer.some((part) => part.vol === value),
  );
  return (
    <div className="flex flex-wrap items-center gap-2 text-sm">
      <label className="flex items-center gap-2">
        {t('bench.mix.pour')}
        <span className="w-32">
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
            {bowl.developer.length === 0 ? <option value="">{t('bench.choosePour')}</option> : null}
            {line.developersVol.map((value) => (
              <option key={value} value={value}>
                {pourName(t, value, line.kind)}
              </option>
            ))}
          </Select>
        </span>
      </label>
      {bowl.developer.length === 1 && line.kind !== 'remover' ? (
        <label className="flex items-center gap-2">
          {t('bench.mix.second')}
          <span className="w-36">
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
              {free.map((value) => (
                <option key={value} value={value}>
                  {pourName(t, value)}
                </option>
              ))}
            </Select>
          </span>
        </label>
      ) : null}
    </div>
  );
}
