import { useTranslation } from 'react-i18next';
import { useSession } from '../../lib/session';
import { useShippedCases } from '../../lib/shipped-cases';
import '../../lib/words/drills';
import '../../lib/words/handbook';
import skillsOf from './rule-skills.json';

/** Cases that are named of many. */
const NAMED = 5;

/** What a rule says, and where it is practised; which cases rest on it is told to educators alone. */
export function RuleText({ rule }: { rule: string }) {
  const { t } = useTranslation(['handbook', 'drill']);
  const teaches = useSession().data?.me?.role === 'educator';
  const shipped = useShippedCases(teaches);
  const skills = (skillsOf as Readonly<Record<string, string[] | undefined>>)[rule] ?? [];
  const titles = (shipped.data ?? []).flatMap(({ clientCase, rules }) =>
    rules.includes(rule) ? [clientCase.title] : [],
  );
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
