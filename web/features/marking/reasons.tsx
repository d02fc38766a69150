import type { Reason } from '@cimbel/core';
import { useTranslation } from 'react-i18next';
import '../../lib/words/reasons';

/** A reason of the core in words, with the handbook's rule beside it. */
export function ReasonText({ reason }: { reason: Reason }) {
  const { t } = useTranslation(['reasons', 'ui']);
  return (
    <>
      {t(reason.code, { ns: 'reasons', ...reason.params })}
      {reason.rule ? (
        <span
          className="text-quiet border-line ms-2 rounded-sm border px-1 text-xs whitespace-nowrap"
          title={t('ui:result.rule', { rule: reason.rule })}
        >
          {reason.rule}
        </span>
      ) : null}
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
