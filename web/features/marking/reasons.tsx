import type { Reason } from '@cimbel/core';
import { useTranslation } from 'react-i18next';
import '../../lib/words/reasons';
import { RuleChip } from '../handbook/rule-chip';

/** A reason of the core in words, with the handbook's rule beside it. */
export function ReasonText({ reason }: { reason: Reason }) {
  const { t } = useTranslation('reasons');
  return (
    <>
      {t(reason.code, reason.params)}
      {reason.rule ? <RuleChip rule={reason.rule} /> : null}
    </>
  );
}

export function ReasonList({ reasons }: { reasons: readonly Reason[] }) {
  return (
    <ul className="flex flex-col gap-1">
      {reasons.map((reason) => (
        <li key={JSON.stringify(reason)}>
          <ReasonText reason={reason} />
        </li>
      ))}
    </ul>
  );
}
