import type { StudentAssignment } from '@cimbel/contract';
import type { RecordCard } from '@cimbel/core/card';
import { Printer } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { capital } from '../../lib/i18n';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { PrintSheet } from '../../ui/print-sheet';
import { Facts } from '../../ui/panel';
import { HeadSheet } from '../head/head-sheet';
import { headLook } from '../head/places';
import { RecordCardView } from './record-card';
import { useWishes } from './words';
import '../../lib/words/bench';

/** The record card as it is being written, to be looked at from anywhere on the bench, and printed. */
export function CardDialog({
  assignment,
  card,
  open,
  onClose,
}: {
  assignment: StudentAssignment;
  card: RecordCard;
  open: boolean;
  onClose: () => void;
}) {
  const { t } = useTranslation();
  const wishes = useWishes();
  return (
    <Dialog
      open={open}
      onClose={onClose}
      title={t('bench.card')}
      wide
      actions={
        <>
          <Button icon={<Printer aria-hidden className="size-4" />} onClick={() => window.print()}>
            {t('action.print')}
          </Button>
          <Button weight="main" onClick={onClose}>
            {t('action.close')}
          </Button>
        </>
      }
    >
      <PrintSheet className="flex flex-col gap-3">
        <div>
          <p className="font-display text-xl font-semibold">{assignment.client.name}</p>
          <p className="text-sm">{assignment.title}</p>
        </div>
        <Facts
          rows={wishes(assignment).map(({ name, text }) => ({
            term: `${t('bench.consult.wish')}, ${name}`,
            value: capital(text),
          }))}
        />
        <HeadSheet
          look={headLook(assignment.regions, assignment.looks.now)}
          label={t('head.sheet')}
          order={card.steps[0]?.areas}
        />
        <RecordCardView plan={card} lines={assignment.lines} />
      </PrintSheet>
    </Dialog>
  );
}
