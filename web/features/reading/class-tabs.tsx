import { useTranslation } from 'react-i18next';
import { NavLink } from 'react-router';
import { useRights } from '../people/use-class';
import '../../lib/words/educating';

/** The parts of a class's work. */
export function ClassTabs({ classId }: { classId: string }) {
  const { t } = useTranslation();
  const marksOnly = useRights(classId) === 'marking';
  return (
    <nav aria-label={t('class.parts')} className="border-strong-line flex flex-wrap gap-1 border-b">
      {[
        { to: `/classes/${classId}`, text: t('class.exercisesTab') },
        { to: `/classes/${classId}/reading`, text: t('class.reading') },
        { to: `/classes/${classId}/gradebook`, text: t('class.gradebook') },
        ...(marksOnly
          ? []
          : [
              { to: `/classes/${classId}/roster`, text: t('class.roster') },
              { to: `/classes/${classId}/house-rules`, text: t('class.houseRules') },
            ]),
      ].map(({ to, text }) => (
        <NavLink
          key={to}
          to={to}
          end
          className="aria-[current=page]:bg-sheet aria-[current=page]:border-strong-line inline-flex min-h-10 items-center rounded-t-sm border border-b-0 border-transparent px-4 font-semibold"
        >
          {text}
        </NavLink>
      ))}
    </nav>
  );
}
