import { writtenCode, type Slip } from '@cimbel/contract';
import { Printer } from 'lucide-react';
import { QRCodeSVG } from 'qrcode.react';
import { useTranslation } from 'react-i18next';
import { dateTime } from '../../lib/i18n';
import '../../lib/words/people';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { PrintSheet } from '../../ui/print-sheet';

/** Where a code is used; the code itself stands behind the #, which no server is ever sent. */
const addressFor = (code: string) => `${window.location.origin}/code#${code}`;

/** Slips to be cut and handed out: whose it is, what it does, a code to type and one to scan. */
export function SlipsSheet({
  slips,
  className,
  onClose,
}: {
  slips: readonly Slip[];
  className: string;
  onClose: () => void;
}) {
  const { t } = useTranslation(['people', 'ui']);
  return (
    <Dialog
      open={slips.length > 0}
      onClose={onClose}
      title={t('roster.slipsTitle')}
      wide
      actions={
        <>
          <Button icon={<Printer aria-hidden className="size-4" />} onClick={() => window.print()}>
            {t('ui:action.print')}
          </Button>
          <Button weight="main" onClick={onClose}>
            {t('ui:action.close')}
          </Button>
        </>
      }
    >
      <p className="text-sm">
        {slips[0] ? t('roster.slipsHint', { when: dateTime(slips[0].expiresAt) }) : null}
      </p>
      <PrintSheet>
        <ul className="grid grid-cols-2 gap-2 max-sm:grid-cols-1 print:grid-cols-2">
          {slips.map(({ studentId, name, number, kind, code }) => (
            <li
              key={studentId}
              className="border-strong-line flex break-inside-avoid items-center gap-3 rounded-sm border border-dashed p-3"
            >
              <QRCodeSVG
                value={addressFor(code)}
                size={92}
                marginSize={2}
                bgColor="#ffffff"
                fgColor="#000000"
                className="shrink-0"
                aria-hidden
              />
              <div className="min-w-0">
                <p className="font-display text-lg leading-tight font-semibold">
                  {name}
                  {number ? <span className="font-sans text-sm font-normal"> · {number}</span> : null}
                </p>
                <p className="text-sm">
                  {kind === 'place' ? t('roster.slipPlace', { className }) : t('roster.slipReset')}
                </p>
                <p className="font-mono text-lg font-bold tracking-wider">{writtenCode(code)}</p>
                <p className="text-sm break-words">
                  {t('roster.slipHow', { address: `${window.location.host}/code` })}
                </p>
              </div>
            </li>
          ))}
        </ul>
      </PrintSheet>
    </Dialog>
  );
}
