import { LIGHTS } from '@cimbel/core/colour';
import type { Scope } from '@cimbel/core/drill';
import { useTranslation } from 'react-i18next';
import { Field, Select } from '../../ui/field';
import '../../lib/words/craft';
import '../../lib/words/reading';

const LEVELS = Array.from({ length: 10 }, (_, i) => i + 1);

/** Between which levels and in which lights hair is shown. */
export function ScopeFields({
  scope,
  onChange,
  error,
}: {
  scope: Scope;
  onChange: (scope: Scope) => void;
  error: string | null;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const level = (name: 'minLevel' | 'maxLevel') => (
    <Field label={t(`reading.set.${name}`)} error={name === 'maxLevel' ? error : null}>
      <Select
        value={scope[name]}
        onChange={({ target }) => onChange({ ...scope, [name]: Number(target.value) })}
      >
        {LEVELS.map((value) => (
          <option key={value} value={value}>
            {t('reading.levelName', { level: value, name: t(`craft:level.${value}`) })}
          </option>
        ))}
      </Select>
    </Field>
  );
  return (
    <div className="flex flex-wrap gap-x-6 gap-y-3">
      {level('minLevel')}
      {level('maxLevel')}
      <fieldset className="flex flex-col gap-1">
        <legend className="text-sm font-semibold">{t('reading.set.lights')}</legend>
        <div className="flex flex-wrap gap-x-4">
          {LIGHTS.map((light) => {
            const on = scope.lights.includes(light);
            return (
              <label key={light} className="flex min-h-10 items-center gap-2">
                <input
                  type="checkbox"
                  className="accent-accent size-5"
                  checked={on}
                  // One light has to be left.
                  disabled={on && scope.lights.length === 1}
                  onChange={() =>
                    onChange({
                      ...scope,
                      lights: LIGHTS.filter((one) => (one === light ? !on : scope.lights.includes(one))),
                    })
                  }
                />
                {t(`craft:light.${light}`)}
              </label>
            );
          })}
        </div>
      </fieldset>
    </div>
  );
}
