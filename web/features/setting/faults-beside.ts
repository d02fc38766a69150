import { useTranslation } from 'react-i18next';
import type { z } from 'zod';
import '../../lib/words/assigning';
import '../../lib/words/bench';
import type { SettingFault } from './setting-steps';

/** What is wrong with an exercise beside its case, in words, and where it is put right: title, points, dates and students. */
export function useFaultsBeside(): (issues: readonly z.core.$ZodIssue[]) => SettingFault[] {
  const { t } = useTranslation(['ui', 'assigning']);
  return (issues) => {
    const paths = issues.map(({ path }) => path.filter((part) => part !== 'exercise'));
    const has = (name: string) => paths.some(([first]) => first === name);
    const terms = paths.some(
      ([first]) => !['title', 'rubric', 'clientCase', 'open', 'tags'].includes(String(first)),
    );
    return [
      ...(has('title') ? [{ step: 'client', field: 'title', text: t('bench.needTitle') } as const] : []),
      ...(has('rubric') ? [{ step: 'marks', field: 'rubric', text: t('bench.fault.rubric') } as const] : []),
      ...(terms ? [{ step: 'assign', field: 'terms', text: t('assigning:terms.check') } as const] : []),
    ];
  };
}
