import type { EducatorAssignment, NewPractice } from '@cimbel/contract';
import { LIGHTS } from '@cimbel/core/colour';
import type { Misconception } from '@cimbel/core/mark';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { Button } from '../../ui/button';
import { Refused, Sheet } from '../../ui/panel';
import { SKILLS_FOR_MISCONCEPTION } from './skills-for';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** Ten minutes on two evenings. */
const MINUTES_A_WEEK = 20;
const practiceOf = (title: string, name: Misconception): NewPractice => ({
  title,
  skills: [...SKILLS_FOR_MISCONCEPTION[name]],
  scope: { minLevel: 1, maxLevel: 10, lights: [...LIGHTS] },
  minutesAWeek: MINUTES_A_WEEK,
});

/** Sets a practice of what a way of thinking has wrong for the class, with one press; one more takes it back. */
function SetPractice({ classId, name }: { classId: string; name: Misconception }) {
  const { t } = useTranslation(['ui', 'craft']);
  const client = useQueryClient();
  const words = t(`craft:slip.${name}`);
  const refresh = () => client.invalidateQueries({ queryKey: ['reading-desk', classId] });
  const set = useMutation({
    mutationFn: () =>
      api<{ id: string }>('POST', `/api/classes/${classId}/practices`, practiceOf(words, name)),
    onSuccess: refresh,
  });
  const takeBack = useMutation({
    mutationFn: (id: string) => api('DELETE', `/api/practices/${id}`),
    onSuccess: async () => {
      set.reset();
      await refresh();
    },
  });
  return (
    <span className="flex flex-wrap items-center gap-2 text-sm">
      {set.data ? (
        <>
          <span role="status" className="text-good font-semibold">
            {t('bench.practiceSet')}
          </span>
          <Button
            weight="quiet"
            disabled={takeBack.isPending}
            onClick={() => takeBack.mutate(set.data.id)}
            aria-label={t('bench.practiceBackOf', { name: words })}
          >
            {t('action.undo')}
          </Button>
        </>
      ) : (
        <Button
          weight="quiet"
          className="-ms-2"
          disabled={set.isPending}
          onClick={() => set.mutate()}
          aria-label={t('bench.practiseWithClassOf', { name: words })}
        >
          {t('bench.practiseWithClass')}
        </Button>
      )}
      <Refused error={set.error ?? takeBack.error} />
    </span>
  );
}

/** Ways of thinking that show in the answers of a class, most often first, each with a practice of it. */
export function ClassMisconceptions({
  assignment: { classId, rights, misconceptions },
}: {
  assignment: Pick<EducatorAssignment, 'classId' | 'rights' | 'misconceptions'>;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  return (
    <Sheet className="flex flex-col gap-2">
      <h2 className="text-lg">{t('bench.thinkingOfClass')}</h2>
      {misconceptions.length === 0 ? (
        <p className="text-quiet">{t('bench.noThinking')}</p>
      ) : (
        <ul>
          {misconceptions.map(({ name, students }) => (
            <li
              key={name}
              className="border-line flex flex-wrap items-center gap-x-3 border-b py-0.5 last:border-b-0"
            >
              <span className="me-auto">{t(`craft:slip.${name}`)}</span>
              {rights === 'marking' ? null : <SetPractice classId={classId} name={name} />}
              <strong className="w-6 text-end tabular-nums">{students}</strong>
            </li>
          ))}
        </ul>
      )}
    </Sheet>
  );
}
