import type { AftercareCard } from '@cimbel/core/appointments';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { fullDate } from '../../lib/i18n';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Field, Input } from '../../ui/field';
import { PrintSheet } from '../../ui/print-sheet';
import '../../lib/words/appointments';

const MS_A_DAY = 86_400_000;
/** A day so many weeks after another, both without a time of day: weeks across a change of clocks keep their day. */
export const weeksAfter = (day: string, weeks: number): string =>
  new Date(Date.parse(`${day}T12:00:00Z`) + weeks * 7 * MS_A_DAY).toISOString().slice(0, 10);
/** Today where the page is read, as a date without a time. */
export function todayHere(now = new Date()): string {
  const two = (figure: number) => String(figure).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** The card that a client takes home: looked at, dated, printed on one page. */
export function AftercareDialog({
  card,
  name,
  onClose,
}: {
  card: AftercareCard;
  name: string;
  onClose: () => void;
}) {
  const { t } = useTranslation('appointments');
  const { t: ui } = useTranslation();
  const [day, setDay] = useState(todayHere);
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('aftercare.title')}
      wide
      actions={
        <>
          <Button icon={<Printer aria-hidden className="size-4" />} onClick={() => window.print()}>
            {ui('action.print')}
          </Button>
          <Button weight="main" onClick={onClose}>
            {ui('action.close')}
          </Button>
        </>
      }
    >
      <div className="mb-3 w-48">
        <Field label={t('aftercare.done')}>
          <Input type="date" value={day} onChange={({ target }) => target.value && setDay(target.value)} />
        </Field>
      </div>
      <PrintSheet className="flex flex-col gap-3">
        <div>
          <p className="font-display text-xl font-semibold">{t('aftercare.heading')}</p>
          <p className="text-sm">
            {t('aftercare.for', { name })} · {t('aftercare.doneOn', { date: fullDate(day) })}
          </p>
        </div>
        <section>
          <h3 className="text-lg">{t('aftercare.firstDays')}</h3>
          <p>{t('aftercare.waitToWash', { hours: card.waitHours })}</p>
        </section>
        {card.care.length > 0 ? (
          <section>
            <h3 className="text-lg">{t('aftercare.atHome')}</h3>
            <ul className="list-disc ps-5">
              {card.care.map((care) => (
                <li key={care}>{t(`aftercare.care.${care}`)}</li>
              ))}
            </ul>
          </section>
        ) : null}
        <section>
          <h3 className="text-lg">{t('aftercare.toKnow')}</h3>
          <ul className="list-disc ps-5">
            {([...card.rules, 'doubt'] as const).map((rule) => (
              <li key={rule}>{t(`aftercare.${rule}`)}</li>
            ))}
          </ul>
        </section>
        <section>
          <h3 className="text-lg">{t('aftercare.come')}</h3>
          {card.dates.length === 0 ? (
            <p>{t('aftercare.noDates')}</p>
          ) : (
            <ul className="list-disc ps-5">
              {card.dates.map(({ week, services }) => (
                <li key={week}>
                  {t('aftercare.date', {
                    date: fullDate(weeksAfter(day, week)),
                    what: services.map((service) => t(`aftercare.what.${service}`)).join(', '),
                  })}
                </li>
              ))}
            </ul>
          )}
        </section>
      </PrintSheet>
    </Dialog>
  );
}
