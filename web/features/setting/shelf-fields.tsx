import type { ClientCase } from '@cimbel/core/case';
import type { Line } from '@cimbel/core/product';
import { useTranslation } from 'react-i18next';
import { Tick } from '../../ui/field';
import '../../lib/words/educating';
import '../../lib/words/bench';

/** What of the lines at hand is really on the shelf: strengths of developer that are left (D8). */
export function ShelfFields({
  clientCase,
  lines,
  onChange,
}: {
  clientCase: ClientCase;
  lines: readonly Line[];
  onChange: (clientCase: ClientCase) => void;
}) {
  const { t } = useTranslation();
  const { shelf = {} } = clientCase;
  const several = lines.filter(
    ({ id, developersVol }) => clientCase.lineIds.includes(id) && developersVol.length > 1,
  );
  if (several.length === 0) return null;
  const set = (line: Line, vol: number, on: boolean) => {
    const left = shelf[line.id]?.developersVol ?? line.developersVol;
    const next = line.developersVol.filter((value) => (value === vol ? on : left.includes(value)));
    if (next.length === 0) return;
    const { [line.id]: own, ...others } = shelf;
    const { developersVol: _, ...rest } = own ?? {};
    const part = next.length === line.developersVol.length ? rest : { ...rest, developersVol: next };
    const all = Object.keys(part).length > 0 ? { ...others, [line.id]: part } : others;
    const { shelf: _shelf, ...plain } = clientCase;
    onChange(Object.keys(all).length > 0 ? { ...plain, shelf: all } : plain);
  };
  return (
    <details className="mt-2" open={Object.keys(shelf).length > 0}>
      <summary className="cursor-pointer font-semibold">{t('set.shelf')}</summary>
      <p className="text-quiet text-sm">{t('set.shelfHint')}</p>
      {several.map((line) => {
        const left = shelf[line.id]?.developersVol ?? line.developersVol;
        return (
          <fieldset key={line.id} className="flex flex-wrap gap-x-5">
            <legend className="text-sm font-semibold">{line.name}</legend>
            {line.developersVol.map((vol) => (
              <Tick
                key={vol}
                label={t('answer.pour', { vol })}
                on={left.includes(vol)}
                onChange={(on) => set(line, vol, on)}
              />
            ))}
          </fieldset>
        );
      })}
    </details>
  );
}
