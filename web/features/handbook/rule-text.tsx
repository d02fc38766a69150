import { shippedCase } from '@cimbel/core/cases';
import { useTranslation } from 'react-i18next';
import '../../lib/words/drills';
import '../../lib/words/handbook';
import uses from './rule-uses.json';

/** Cases that are named of many. */
const NAMED = 5;
type Uses = Readonly<Record<string, { cases: string[]; skills: string[] } | undefined>>;

/** What a rule says, and where it is practised. */
export function RuleText({ rule }: { rule: string }) {
  const { t } = useTranslation(['handbook', 'drill']);
  const { cases, skills } = (uses as Uses)[rule] ?? { cases: [], skills: [] };
  const titles = cases.flatMap((id) => shippedCase(id)?.clientCase.title ?? []);
  const more = titles.length - NAMED;
  return (
    <>
      <p>{t(`rule.${rule}`)}</p>
      {skills.length > 0 ? (
        <p className="text-quiet text-sm">
          {t('page.drills', { skills: skills.map((skill) => t(`drill:skill.${skill}`)).join(', ') })}
        </p>
      ) : null}
      {titles.length > 0 ? (
        <p className="text-quiet text-sm">
          {t('page.cases', { titles: titles.slice(0, NAMED).join('; ') })}
          {more > 0 ? ` ${t('page.more', { count: more })}` : ''}
        </p>
      ) : null}
    </>
  );
}
