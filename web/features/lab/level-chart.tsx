import { LAB_MINUTES, LAB_ZONES, levelsOver, type LabState, type LabZone } from '@cimbel/core/simulate';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { Choice } from '../../ui/choice';
import '../../lib/words/craft';
import '../../lib/words/lab';

/** Level over time for one zone, A whole and B dashed: no colour is needed to tell them apart. */
export function LevelChart({ state }: { state: LabState }) {
  const { t } = useTranslation(['ui', 'craft']);
  const [zone, setZone] = useState<LabZone>('mids');
  const { a, b, minute } = state;
  const rows = useMemo(() => {
    const [ofA, ofB] = [levelsOver(a, LAB_MINUTES, 2), levelsOver(b, LAB_MINUTES, 2)];
    return ofA.map((row, i) => ({ minute: row.minute, a: row.levels[zone], b: ofB[i].levels[zone] }));
  }, [a, b, zone]);
  const ink = 'var(--ink)';
  return (
    <section className="bg-sheet border-line flex flex-col gap-2 rounded-sm border p-3">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-base">{t('lab.chart')}</h2>
        <Choice
          label={t('lab.chartZone')}
          value={zone}
          onChange={setZone}
          options={LAB_ZONES.map((value) => ({ value, text: t(`craft:zone.${value}`) }))}
        />
      </div>
      <div className="h-52" role="img" aria-label={`${t('lab.chart')}, ${t(`craft:zone.${zone}`)}`}>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={rows} margin={{ top: 8, right: 12, bottom: 0, left: -24 }}>
            <CartesianGrid stroke="var(--line)" />
            <XAxis
              dataKey="minute"
              type="number"
              domain={[0, LAB_MINUTES]}
              ticks={[0, 15, 30, 45, 60, 75, 90, 105, 120]}
              stroke={ink}
              fontSize={12}
            />
            <YAxis
              domain={[1, 12]}
              ticks={[1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]}
              stroke={ink}
              fontSize={12}
            />
            <ReferenceLine x={minute} stroke="var(--accent)" strokeWidth={2} />
            <Line dataKey="a" name="A" stroke={ink} strokeWidth={2.5} dot={false} isAnimationActive={false} />
            <Line
              dataKey="b"
              name="B"
              stroke={ink}
              strokeWidth={2.5}
              strokeDasharray="6 5"
              dot={false}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <p aria-hidden className="text-quiet text-sm">
        A ━━ &nbsp; B ╍╍
      </p>
    </section>
  );
}
