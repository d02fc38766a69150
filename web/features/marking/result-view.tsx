import type { Result } from '@cimbel/contract';
import { DEFAULT_HOUSE_RULES } from '@cimbel/core/theory';
import { mixOf, type CriterionMark } from '@cimbel/core/grade';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Sheet } from '../../ui/panel';
import { Strand } from '../bench/strand';
import { BalanceBeam } from './balance';
import { CriteriaTable } from './criteria-table';
import { HouseRulesUsed, KeyCard } from './key-card';
import { OutcomeView } from './outcome-view';

/** One answer beside the key: for the student who gave it, and for the educator who looks it over. */
export function ResultView({
  result,
  heading,
  action,
}: {
  result: Result;
  heading: ReactNode;
  action?: (mark: CriterionMark) => ReactNode;
}) {
  const { t } = useTranslation();
  const { kase, key, grade, line, answer } = result;
  const school =
    grade.houseRules.find(({ rule }) => rule === 'underlay')?.choice === 'coarse'
      ? 'coarse'
      : DEFAULT_HOUSE_RULES.underlay;
  return (
    <div className="grid min-h-full grid-cols-[76px_minmax(0,1fr)] wide:grid-cols-[320px_minmax(0,1fr)]">
      <Strand
        looks={result.looks}
        service={kase.service}
        nowLabel={t('bench.nowOf', { name: kase.client.name })}
        targetLabel={t('bench.targetOf', { level: kase.target.level, tone: kase.target.tone.primary })}
      />
      <div className="flex min-w-0 flex-col gap-5 px-4 py-4 wide:px-8">
        {heading}
        <CriteriaTable result={result} action={action} />
        <OutcomeView result={result} />
        <div className="grid gap-5 lg:grid-cols-2">
          <Sheet className="flex flex-col gap-3">
            <h2 className="text-lg">{t('result.keyTitle')}</h2>
            <KeyCard computed={key} naturalLevel={kase.zone.naturalLevel} />
          </Sheet>
          <div className="flex flex-col gap-5">
            <BalanceBeam
              levelReached={key.levelReached}
              mix={mixOf(answer, line)}
              rules={{ underlay: school }}
            />
            <Sheet>
              <HouseRulesUsed uses={grade.houseRules} />
            </Sheet>
          </div>
        </div>
      </div>
    </div>
  );
}

export function PointsLine({ result }: { result: { grade: { points: number; max: number } } }) {
  const { t } = useTranslation();
  return (
    <p className="font-display text-3xl font-semibold">
      {t('result.points', { points: result.grade.points, max: result.grade.max })}
    </p>
  );
}
