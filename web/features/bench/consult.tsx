import type { StudentExercise } from '@cimbel/contract';
import { CAUTIONS } from '@cimbel/core/theory';
import { useTranslation } from 'react-i18next';
import { Facts, Sheet } from '../../ui/panel';

export function useTargetWords(): (target: StudentExercise['facts']['target']) => string {
  const { t } = useTranslation();
  return ({ level, tone }) =>
    tone.secondary
      ? t('bench.consult.wishWith', { level, tone: tone.primary, second: tone.secondary })
      : t('bench.consult.wishText', { level, tone: tone.primary });
}

export function Consult({ exercise }: { exercise: StudentExercise }) {
  const { t } = useTranslation(['ui', 'craft']);
  const targetWords = useTargetWords();
  const { client, facts, line } = exercise;
  const share = new Intl.NumberFormat(undefined, { style: 'percent' }).format(facts.greyShare);
  return (
    <div className="flex flex-col gap-5">
      <h2 className="text-2xl">{t('bench.consult.title')}</h2>
      <div className="grid gap-5 lg:grid-cols-2">
        <Sheet className="flex flex-col gap-2">
          <h3 className="text-lg">{client.name}</h3>
          <p>{client.note || t('bench.consult.noHistory')}</p>
          <h3 className="mt-3 text-lg">{t('bench.consult.wish')}</h3>
          <p>{targetWords(facts.target)}</p>
        </Sheet>
        <Sheet className="flex flex-col gap-2">
          <h3 className="text-lg">{t('bench.consult.facts')}</h3>
          <Facts
            rows={[
              { term: t('bench.consult.grey'), value: share },
              { term: t('bench.consult.porosity'), value: t(`craft:porosity.${facts.porosity}`) },
              { term: t('bench.consult.diameter'), value: t(`craft:diameter.${facts.diameter}`) },
              { term: t('bench.consult.density'), value: t(`craft:density.${facts.density}`) },
              { term: t('bench.consult.service'), value: t(`craft:service.${facts.service}`) },
              {
                term: t('bench.consult.line'),
                value: t('set.lineKind', { name: line.name, kind: t(`craft:kind.${line.kind}`) }),
              },
            ]}
          />
          <p className="text-quiet text-sm">{t('bench.consult.readNext')}</p>
        </Sheet>
      </div>
      <Sheet>
        <h3 className="text-lg">{t('bench.consult.cautions')}</h3>
        <ul className="mt-2 list-disc ps-5 text-sm">
          {CAUTIONS.map((caution) => (
            <li key={caution}>{t(`craft:${caution}`)}</li>
          ))}
        </ul>
      </Sheet>
    </div>
  );
}
