import type { Receipt } from '@cimbel/contract';
import { useTranslation } from 'react-i18next';
import '../../lib/words/bench';

/** Letters of a digest that are compared by eye, four at a time. */
const SHOWN = 16;

/** The receipt of a hand-in, as student and educator both see it. */
export function ReceiptLine({ receipt: { number, digest } }: { receipt: Receipt }) {
  const { t } = useTranslation();
  const short = digest.slice(0, SHOWN).replace(/(.{4})(?=.)/g, '$1 ');
  return (
    <p className="text-quiet text-sm tabular-nums" title={digest}>
      {t('bench.receipt', { number, digest: short })}
    </p>
  );
}
