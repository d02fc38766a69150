import type { StudentAssignment } from '@cimbel/contract';
import { NO_READING, type RecordCard, type ZoneReading } from '@cimbel/core/card';
import type { PlaceId } from '@cimbel/core/hair';
import { LIGHTS, type Light, topLevel } from '@cimbel/core/colour';
import { COUNTERS } from '@cimbel/core/rules';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import { Choice } from '../../ui/choice';
import { Select } from '../../ui/field';
import { Sheet } from '../../ui/panel';
import { placesOf } from '../head/places';
import { LevelRing } from './level-ring';
import type { DraftOf } from './use-draft';
import { BalanceBeam } from '../marking/balance';
import '../../lib/words/craft';
import '../../lib/words/lab';
import '../../lib/words/bench';

const GREYS = [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1];

/** Zone by zone: what there is, and what will show on the way. */
export function ReadStep({
  assignment,
  draft,
  zone,
  onZone,
  light,
  onLight,
}: {
  assignment: StudentAssignment;
  draft: DraftOf<RecordCard>;
  zone: PlaceId;
  onZone: (zone: PlaceId) => void;
  light: Light;
  onLight: (light: Light) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { answer, change } = draft;
  const read = answer.readings[zone] ?? NO_READING;
  const set = (part: Partial<ZoneReading>) =>
    change({ readings: { ...answer.readings, [zone]: { ...read, ...part } } });
  const target =
    assignment.wish[zone] ?? assignment.placements.find(({ zones }) => zones.includes(zone))?.target ?? null;
  const name = placeWord(t, zone);
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-2xl">{t('bench.read.title')}</h2>
      <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
        <Choice
          label={t('bench.zone')}
          value={zone}
          options={placesOf(assignment).map((drawnStretch) => {
            const done = answer.readings[drawnStretch.zone]?.level != null;
            return {
              value: drawnStretch.zone,
              text: `${placeWord(t, drawnStretch.zone)}${done ? ' ✓' : ''}`,
            };
          })}
          onChange={onZone}
        />
        <Choice
          label={t('lab.light')}
          value={light}
          options={LIGHTS.map((value) => ({ value, text: t(`craft:light.${value}`) }))}
          onChange={onLight}
        />
      </div>
      <div className="flex flex-col gap-1.5">
        <h3 className="text-lg">{t('bench.levelOf', { zone: name })}</h3>
        <LevelRing
          value={read.level}
          onChange={(level) => set({ level })}
          label={t('bench.levelOf', { zone: name })}
          top={topLevel(assignment.houseRules.levelScale)}
        />
      </div>
      <Sheet className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <label className="flex items-center gap-3 font-semibold">
          {t('bench.greyOf', { zone: name })}
          <span className="w-32">
            <Select
              value={read.greyShare === null ? '' : String(read.greyShare)}
              onChange={({ target: field }) =>
                set({ greyShare: field.value === '' ? null : Number(field.value) })
              }
            >
              <option value="">{t('answer.none')}</option>
              {GREYS.map((share) => (
                <option key={share} value={share}>
                  {t('bench.share', { share })}
                </option>
              ))}
            </Select>
          </span>
        </label>
      </Sheet>
      {target ? (
        <div className="grid items-start gap-4 xl:grid-cols-[minmax(0,1fr)_20rem]">
          <Sheet className="flex flex-col gap-3">
            <h3 className="text-lg">{t('bench.showsOn', { zone: name, level: target.level })}</h3>
            <p className="text-quiet text-sm">{t('bench.showsHint')}</p>
            <Choice
              label={t('bench.showsOn', { zone: name, level: target.level })}
              value={read.underlay}
              onChange={(underlay) => set({ underlay })}
              options={assignment.underlayChoices.map((value) => ({
                value,
                text: t(`craft:underlay.${value}`),
              }))}
            />
            <h3 className="text-lg">{t('bench.read.counter')}</h3>
            <Choice
              label={t('bench.read.counter')}
              value={read.counter}
              onChange={(counter) => set({ counter })}
              options={(['keep', ...COUNTERS] as const).map((value) => ({
                value,
                text: t(`craft:counter.${value}`),
              }))}
            />
          </Sheet>
          {read.underlay ? (
            <BalanceBeam levelReached={target.level} mix={[]} rules={assignment.houseRules} title={name} />
          ) : null}
        </div>
      ) : (
        <p className="text-quiet">{t('bench.noWishHere', { zone: name })}</p>
      )}
    </div>
  );
}
