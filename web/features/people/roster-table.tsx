import type { RosterSeat, Slip } from '@cimbel/contract';
import { Pencil, Printer, UserMinus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import {} from '../../lib/api';
import '../../lib/words/people';
import { Button } from '../../ui/button';
import { Confirm } from '../../ui/dialog';
import { Refused } from '../../ui/panel';
import { EditPlace } from './edit-place';
import { usePlaceChange, useSlips } from './use-roster';

type Asked = { kind: 'edit' | 'remove'; place: RosterSeat } | { kind: 'slips'; ids: string[] } | null;

/** The students of a class: who signs in already, slips for those who do not, changes and removal. */
export function RosterTable({
  classId,
  places,
  onSlips,
}: {
  classId: string;
  places: readonly RosterSeat[];
  onSlips: (slips: Slip[]) => void;
}) {
  const { t } = useTranslation(['people', 'ui']);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [asked, setAsked] = useState<Asked>(null);
  const change = usePlaceChange(classId);
  const slips = useSlips(classId);
  const ids = places.map(({ id }) => id).filter((id) => chosen.has(id));
  const needing = places.filter(({ claimed }) => !claimed).map(({ id }) => id);
  const close = () => setAsked(null);
  const resets =
    asked?.kind === 'slips'
      ? places.filter(({ id, claimed }) => claimed && asked.ids.includes(id)).length
      : 0;
  const failed = change.error ?? slips.error;
  const toggle = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  return (
    <section className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="me-auto text-lg">{t('roster.count', { count: places.length })}</h2>
        {ids.length > 0 ? (
          <Button
            icon={<Printer aria-hidden className="size-4" />}
            onClick={() => setAsked({ kind: 'slips', ids })}
          >
            {t('roster.slipsFor', { count: ids.length })}
          </Button>
        ) : needing.length > 0 ? (
          <Button
            icon={<Printer aria-hidden className="size-4" />}
            onClick={() => setAsked({ kind: 'slips', ids: needing })}
          >
            {t('roster.slipsUnclaimed')}
          </Button>
        ) : null}
      </div>
      <Refused error={failed} />
      <div className="bg-sheet border-line overflow-x-auto rounded-sm border" tabIndex={0}>
        <table className="w-full border-collapse">
          <caption className="sr-only">{t('roster.table')}</caption>
          <thead>
            <tr className="border-strong-line border-b text-start">
              <th scope="col" className="w-10 px-3 py-2">
                <label className="inline-flex min-w-9 items-center justify-center">
                  <input
                    type="checkbox"
                    className="accent-accent size-5"
                    aria-label={t('roster.chooseAll')}
                    checked={ids.length === places.length}
                    onChange={() =>
                      setChosen(
                        ids.length === places.length ? new Set() : new Set(places.map(({ id }) => id)),
                      )
                    }
                  />
                </label>
              </th>
              <th scope="col" className="px-3 py-2 text-start">
                {t('roster.name')}
              </th>
              <th scope="col" className="px-3 py-2 text-start max-sm:hidden">
                {t('roster.number')}
              </th>
              <th scope="col" className="px-3 py-2 text-start max-sm:hidden">
                {t('roster.access')}
              </th>
              <td />
            </tr>
          </thead>
          <tbody>
            {places.map((place) => (
              <tr key={place.id} className="border-line hover:bg-raised border-b">
                <td className="px-3 py-1">
                  <label className="inline-flex min-w-9 items-center justify-center">
                    <input
                      type="checkbox"
                      className="accent-accent size-5"
                      aria-label={t('roster.choose', { name: place.name })}
                      checked={chosen.has(place.id)}
                      onChange={() => toggle(place.id)}
                    />
                  </label>
                </td>
                <th scope="row" className="px-3 py-1 text-start font-semibold">
                  {place.name}
                  {/* On a phone what has no room beside it. */}
                  <span className="text-quiet block text-sm font-normal sm:hidden">
                    {place.number} {place.claimed ? '' : t('roster.unclaimed')}
                  </span>
                </th>
                <td className="px-3 py-1 max-sm:hidden">{place.number}</td>
                <td className="text-quiet px-3 py-1 max-sm:hidden">
                  {t(place.claimed ? 'roster.claimed' : 'roster.unclaimed')}
                </td>
                <td className="px-3 py-1 text-end whitespace-nowrap">
                  <Button
                    weight="quiet"
                    icon={<Printer aria-hidden className="size-4" />}
                    aria-label={t('roster.slipOf', { name: place.name })}
                    onClick={() => setAsked({ kind: 'slips', ids: [place.id] })}
                  >
                    <span className="max-sm:hidden">{t('roster.slip')}</span>
                  </Button>
                  <Button
                    weight="quiet"
                    icon={<Pencil aria-hidden className="size-4" />}
                    aria-label={t('roster.editOf', { name: place.name })}
                    onClick={() => setAsked({ kind: 'edit', place })}
                  >
                    <span className="max-sm:hidden">{t('roster.edit')}</span>
                  </Button>
                  <Button
                    weight="quiet"
                    icon={<UserMinus aria-hidden className="size-4" />}
                    aria-label={t('roster.removeOf', { name: place.name })}
                    onClick={() => setAsked({ kind: 'remove', place })}
                  >
                    <span className="max-sm:hidden">{t('roster.remove')}</span>
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {asked?.kind === 'edit' ? <EditPlace classId={classId} place={asked.place} onClose={close} /> : null}
      <Confirm
        open={asked?.kind === 'remove'}
        danger
        onCancel={close}
        onConfirm={() => {
          if (asked?.kind === 'remove')
            change.mutate([{ id: asked.place.id, change: { state: 'removed' } }], { onSettled: close });
        }}
        busy={change.isPending}
        title={t('roster.removeTitle', { name: asked?.kind === 'remove' ? asked.place.name : '' })}
        text={t('roster.removeText')}
        confirm={t('roster.remove')}
      />
      <Confirm
        open={asked?.kind === 'slips'}
        onCancel={close}
        onConfirm={() => {
          if (asked?.kind === 'slips')
            slips.mutate(asked.ids, {
              onSuccess: (slips) => {
                setChosen(new Set());
                onSlips(slips);
              },
              onSettled: close,
            });
        }}
        busy={slips.isPending}
        title={t('roster.resetTitle')}
        text={resets > 0 ? t('roster.resetText', { count: resets }) : t('roster.resetTextNone')}
        confirm={t('roster.makeSlips')}
      />
    </section>
  );
}
