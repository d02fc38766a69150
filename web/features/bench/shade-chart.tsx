import { seedFrom } from '@cimbel/core';
import { shadesOf, type Line, type Shade, splitLabel, shadeLook } from '@cimbel/core/product';
import { memo, useMemo, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { useGridKeys } from '../../lib/use-grid-keys';
import { Tress } from '../../ui/tress';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** Signs of a label after its separator: the column a shade stands in. */
const signsOf = (line: Line, label: string) => splitLabel(line, label)?.signs ?? '';

/** A swatch with its label under it. A chart has a hundred of them, and is drawn again with every key. */
export const Swatch = memo(function Swatch({ shade }: { shade: Shade }) {
  const look = shadeLook(shade, seedFrom(shade.label));
  return (
    <>
      {look ? <Tress look={look} width={30} height={40} label="" /> : null}
      <span className="text-xs font-semibold">{shade.label}</span>
    </>
  );
});

/** Rows are levels, columns the line's own signs in the order of its key; what has no level stands below. */
export function ShadeGrid({
  line,
  cell,
  picks = false,
}: {
  line: Line;
  cell: (shade: Shade) => ReactNode;
  /** Whether its cells are buttons: it is one stop of the Tab key then, and arrows move in it. */
  picks?: boolean;
}) {
  const { t } = useTranslation();
  const keys = useGridKeys<HTMLDivElement>();
  const { rows, columns, others, at } = useMemo(() => {
    const shades = shadesOf(line);
    const coloured = shades.filter(
      (shade): shade is Shade & { level: number } => shade.level !== null && shade.series !== 'filler',
    );
    const order = Object.keys(line.key.signs);
    const rank = (signs: string) =>
      order.indexOf(signs[0]) * 100 + (signs.length > 1 ? 1 + order.indexOf(signs[1]) : 0);
    return {
      rows: [...new Set(coloured.map(({ level }) => level))].sort((a, b) => b - a),
      columns: [...new Set(coloured.map(({ label }) => signsOf(line, label)))].sort(
        (a, b) => rank(a) - rank(b),
      ),
      others: shades.filter(({ level, series }) => level === null || series === 'filler'),
      at: new Map(coloured.map((shade) => [`${shade.level} ${signsOf(line, shade.label)}`, shade])),
    };
  }, [line]);
  return (
    <div
      className="bg-surround overflow-x-auto rounded-sm p-2"
      {...(picks ? { ...keys, role: 'group', 'aria-label': t('bench.mix.chart', { line: line.name }) } : {})}
    >
      {rows.length > 0 ? (
        <table className="text-on-surround border-separate border-spacing-0.5">
          <thead>
            <tr>
              <td />
              {columns.map((signs) => (
                <th key={signs} scope="col" className="min-w-10 text-sm">
                  {signs}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((level) => (
              <tr key={level}>
                <th scope="row" className="pe-2 text-end">
                  {level}
                </th>
                {columns.map((signs) => {
                  const shade = at.get(`${level} ${signs}`);
                  return <td key={signs}>{shade ? cell(shade) : null}</td>;
                })}
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      {others.length > 0 ? (
        <div className="mt-1 flex flex-wrap gap-x-2">
          {others.map((shade) => (
            <div key={shade.label} className="min-w-12">
              {cell(shade)}
            </div>
          ))}
        </div>
      ) : null}
    </div>
  );
}

/** The chart to pick from. What a sign means stands in the key. */
export function ShadeChart({
  line,
  chosen,
  onPick,
  disabled = false,
}: {
  line: Line;
  chosen: readonly string[];
  onPick: (label: string) => void;
  disabled?: boolean;
}) {
  const { t } = useTranslation();
  return (
    <ShadeGrid
      line={line}
      picks
      cell={(shade) => (
        <button
          type="button"
          disabled={disabled && !chosen.includes(shade.label)}
          aria-label={t('bench.mix.add', { label: shade.label })}
          aria-pressed={chosen.includes(shade.label)}
          onClick={() => onPick(shade.label)}
          className="text-on-surround aria-pressed:bg-accent aria-pressed:text-on-accent flex w-full flex-col items-center rounded-sm px-0.5 pb-0.5 hover:bg-white/25 disabled:opacity-40"
        >
          <Swatch shade={shade} />
        </button>
      )}
    />
  );
}
/** The key as the maker prints it. Students must read it, not remember another line's. */
export function LineKey({ line }: { line: Line }) {
  const { t } = useTranslation(['ui', 'craft']);
  return (
    <dl aria-label={t('bench.mix.keyTitle')} className="flex flex-wrap gap-x-4 gap-y-0.5 text-sm">
      {Object.entries(line.key.signs).map(([sign, family]) => (
        <div key={sign} className="flex gap-1.5">
          <dt className="font-bold">{sign}</dt>
          <dd>{t(`craft:tone.${family}`)}</dd>
        </div>
      ))}
      {line.key.clear ? (
        <div className="flex gap-1.5">
          <dt className="font-bold">{line.key.clear}</dt>
          <dd>{t('bench.mix.clear')}</dd>
        </div>
      ) : null}
      {line.key.corrector ? (
        <div className="flex gap-1.5">
          <dt className="font-bold">
            {line.key.corrector}
            {line.key.separator}
          </dt>
          <dd>{t('craft:series.corrector')}</dd>
        </div>
      ) : null}
      {line.key.highLiftFrom ? (
        <div className="flex gap-1.5">
          <dt className="font-bold">{line.key.highLiftFrom}+</dt>
          <dd>{t('craft:series.highLift')}</dd>
        </div>
      ) : null}
    </dl>
  );
}
