import type { StudentAssignment } from '@cimbel/contract';
import { CAUTIONS } from '@cimbel/core/rules';
import { useTranslation } from 'react-i18next';
import { capital } from '../../lib/i18n';
import { Facts, Sheet } from '../../ui/panel';
import { ReasonText } from '../marking/reasons';
import type { Reveals } from './use-reveals';
import { useHairFacts, useWishes } from './words';
import '../../lib/words/craft';
import '../../lib/words/bench';

function Story({ assignment: { client, ...assignment } }: { assignment: StudentAssignment }) {
  const { t } = useTranslation();
  const wishes = useWishes();
  return (
    <>
      <h3 className="text-lg">{client.name}</h3>
      <p>{client.note || t('bench.consult.noHistory')}</p>
      <h3 className="mt-2 text-lg">{t('bench.consult.wish')}</h3>
      <Facts rows={wishes(assignment).map(({ name, text }) => ({ term: capital(name), value: text }))} />
    </>
  );
}

function Hair({ assignment }: { assignment: StudentAssignment }) {
  const { t } = useTranslation(['ui', 'craft']);
  const hairFacts = useHairFacts();
  return (
    <>
      <h3 className="text-lg">{t('bench.consult.facts')}</h3>
      <Facts rows={hairFacts(assignment)} />
      <details className="mt-1 text-sm">
        <summary className="cursor-pointer font-semibold">{t('bench.consult.cautions')}</summary>
        <ul className="mt-1 list-disc ps-5">
          {CAUTIONS.map((caution) => (
            <li key={caution}>{t(`craft:${caution}`)}</li>
          ))}
        </ul>
      </details>
    </>
  );
}

/** Who is in the chair, what is wished for, and what shows without asking. */
export function ClientFacts({ assignment }: { assignment: StudentAssignment }) {
  return (
    <>
      <Sheet className="flex flex-col gap-2">
        <Story assignment={assignment} />
      </Sheet>
      <Sheet className="flex flex-col gap-2">
        <Hair assignment={assignment} />
      </Sheet>
    </>
  );
}

/** The consultation where it is given, as short as it can be: the client, and what asking and testing has shown. */
export function ClientGiven({ assignment, reveals }: { assignment: StudentAssignment; reveals: Reveals }) {
  const reasons = Object.values(reveals.known).flat();
  return (
    <div className="grid items-start gap-x-8 gap-y-2 text-sm lg:grid-cols-2">
      <div className="flex flex-col gap-1">
        <Story assignment={assignment} />
      </div>
      <div className="flex flex-col gap-1">
        <Hair assignment={assignment} />
      </div>
      {reasons.length > 0 ? (
        <ul className="border-line grid gap-x-8 border-t pt-2 lg:col-span-2 lg:grid-cols-2">
          {reasons.map((reason) => (
            <li key={JSON.stringify(reason)}>
              <ReasonText reason={reason} />
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  );
}
