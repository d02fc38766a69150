import { LAB_ZONES, type SideMoment } from '@cimbel/core/simulate';
import { figure } from '../../lib/i18n';
import { useTranslation } from 'react-i18next';
import '../../lib/words/craft';
import '../../lib/words/lab';

/** What is read off both sides at this minute, zone by zone. */
export function Readings({ a, b }: { a: SideMoment; b: SideMoment }) {
  const { t } = useTranslation(['ui', 'craft']);
  const sides = [
    { name: 'A', moment: a },
    { name: 'B', moment: b },
  ];
  return (
    <section className="bg-sheet border-line overflow-x-auto rounded-sm border p-3">
      <table className="w-full text-sm">
        <caption className="text-start text-base font-semibold">{t('lab.readings')}</caption>
        <thead>
          <tr className="text-quiet border-line border-b text-start">
            {(['zone', 'level', 'tone', 'shows', 'condition', 'stretch'] as const).map((name) => (
              <th key={name} scope="col" className="py-1 pe-2 text-start font-normal">
                {t(`lab.${name}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {LAB_ZONES.flatMap((zone) =>
            sides.map(({ name, moment }) => {
              const { level, tone, underlay, condition, stretch, bears, missed, lying } = moment.zones[zone];
              return (
                <tr key={`${zone}${name}`} className={name === 'B' ? 'border-line border-b' : ''}>
                  <th scope="row" className="pe-2 text-start font-normal whitespace-nowrap">
                    <strong>{name}</strong> {t(`craft:zone.${zone}`)}
                    {lying ? <span className="text-quiet text-xs"> · {t('lab.lying')}</span> : null}
                  </th>
                  <td className="pe-2 font-semibold">{figure(level, undefined, 1)}</td>
                  <td className="pe-2">{t(`craft:tone.${tone}`)}</td>
                  <td className="pe-2">{t(`craft:underlay.${underlay}`)}</td>
                  <td className={bears <= 2 ? 'pe-2 text-bad font-semibold' : 'pe-2'}>
                    {t(`craft:condition.${condition}`)}
                  </td>
                  <td>
                    {t(`craft:stretch.${stretch}`)}
                    {missed > 0.01 ? (
                      <span className="text-quiet text-xs"> · {t('lab.missed', { share: missed })}</span>
                    ) : null}
                  </td>
                </tr>
              );
            }),
          )}
        </tbody>
      </table>
    </section>
  );
}
