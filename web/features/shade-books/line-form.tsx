import { TONE_FAMILIES } from '@cimbel/core/colour';
import type { Problem } from '@cimbel/core/io';
import { hasDeveloper, hasShades, LINE_KINDS, type Line, type LineKind } from '@cimbel/core/product';
import { WASHES } from '@cimbel/core/rules';
import { useTranslation } from 'react-i18next';
import { Choice } from '../../ui/choice';
import { Field, Input, NumberInput, Select } from '../../ui/field';
import { Sheet } from '../../ui/panel';
import { lineCoversGrey, lightens, type LineDraft } from './draft';
import { GreyShareRows } from './grey-share-rows';
import { problemWords } from './problem-words';
import { ShadeRows } from './shade-rows';
import '../../lib/words/reasons';
import '../../lib/words/craft';
import '../../lib/words/reading';
import '../../lib/words/shade-books';

/** The directions, the key and the shades of a line, with what is wrong beside what it is about. */
export function LineForm({
  draft,
  line,
  problems,
  onChange,
}: {
  draft: LineDraft;
  line: Line;
  problems: readonly Problem[];
  onChange: (part: Partial<LineDraft>) => void;
}) {
  const { t } = useTranslation(['ui', 'craft', 'reasons']);
  const errorAt = (path: string) => {
    const problem = problems.find((one) => one.path === path || one.path?.startsWith(`${path}.`));
    return problem ? problemWords(t, { ...problem, path: undefined }) : null;
  };
  const minutes = (name: 'standard' | 'grey' | 'resistant' | 'active', path: string) => (
    <Field label={t(`shadeBooks.${name}`)} error={errorAt(path)}>
      <NumberInput
        aria-label={t(`shadeBooks.${name}`)}
        value={draft[name]}
        min={1}
        unit={t('reading.set.minutesUnit')}
        onValue={(value) => onChange({ [name]: value })}
      />
    </Field>
  );
  const tick = (name: 'mayDilute' | 'mayHeat') => (
    <label className="flex min-h-10 items-center gap-2">
      <input
        type="checkbox"
        className="accent-accent size-5"
        checked={draft[name]}
        onChange={({ target }) => onChange({ [name]: target.checked })}
      />
      {t(`shadeBooks.${name}`)}
    </label>
  );
  const withKey = hasShades(draft.kind) && draft.kind !== 'direct' && draft.kind !== 'filler';
  return (
    <div className="grid items-start gap-4 wide:grid-cols-2">
      <div className="flex flex-col gap-4">
        <Sheet className="flex flex-col gap-3">
          <h2 className="text-lg">{t('shadeBooks.directions')}</h2>
          <Field label={t('shadeBooks.name')} error={errorAt('name')}>
            <Input
              value={draft.name}
              maxLength={60}
              onChange={({ target }) => onChange({ name: target.value })}
            />
          </Field>
          <Field label={t('shadeBooks.kind')}>
            <Select
              value={draft.kind}
              onChange={({ target }) => onChange({ kind: target.value as LineKind })}
            >
              {LINE_KINDS.map((kind) => (
                <option key={kind} value={kind}>
                  {t(`craft:kind.${kind}`)}
                </option>
              ))}
            </Select>
          </Field>
          {hasDeveloper(draft.kind) ? (
            <div className="grid gap-3 sm:grid-cols-2">
              <Field
                label={t('shadeBooks.developers')}
                hint={t('shadeBooks.developersHint')}
                error={errorAt('developersVol')}
              >
                <Input
                  value={draft.developers}
                  onChange={({ target }) => onChange({ developers: target.value })}
                />
              </Field>
              <Field
                label={t('shadeBooks.ratios')}
                hint={t('shadeBooks.ratiosHint')}
                error={errorAt('ratios')}
              >
                <Input value={draft.ratios} onChange={({ target }) => onChange({ ratios: target.value })} />
              </Field>
            </div>
          ) : null}
          <div className="flex flex-wrap gap-x-5 gap-y-3">
            {minutes('standard', 'minutes.standard')}
            {minutes('grey', 'minutes.grey')}
            {minutes('resistant', 'minutes.resistant')}
            {minutes('active', 'activeMinutes')}
            <Field label={t('shadeBooks.tube')} error={errorAt('tubeGrams')}>
              <NumberInput
                aria-label={t('shadeBooks.tube')}
                value={draft.tubeGrams}
                min={1}
                unit={t('shadeBooks.gramsUnit')}
                onValue={(tubeGrams) => onChange({ tubeGrams })}
              />
            </Field>
          </div>
          <div className="flex flex-col gap-1">
            <span className="text-sm font-semibold">{t('shadeBooks.timer')}</span>
            <Choice
              label={t('shadeBooks.timer')}
              value={draft.timerStarts}
              onChange={(timerStarts) => onChange({ timerStarts })}
              options={(['endOfApplication', 'firstContact'] as const).map((value) => ({
                value,
                text: t(`craft:timerStarts.${value}`),
              }))}
            />
          </div>
          <div className="flex flex-wrap gap-x-6">
            {tick('mayDilute')}
            {tick('mayHeat')}
          </div>
          {lightens(draft.kind) ? (
            <div className="flex flex-col gap-1">
              <span className="text-sm font-semibold">{t('shadeBooks.preWash')}</span>
              <Choice
                label={t('shadeBooks.preWash')}
                value={draft.preWash}
                onChange={(preWash) => onChange({ preWash })}
                options={WASHES.map((value) => ({ value, text: t(`craft:wash.${value}`) }))}
              />
            </div>
          ) : null}
          {lineCoversGrey(draft.kind) ? (
            <GreyShareRows
              rows={draft.greyShares}
              error={errorAt('greyShares')}
              onChange={(greyShares) => onChange({ greyShares })}
            />
          ) : null}
        </Sheet>
        {withKey ? (
          <Sheet className="flex flex-col gap-3">
            <h2 className="text-lg">{t('shadeBooks.keyTitle')}</h2>
            <p className="text-quiet text-sm">{t('shadeBooks.keyHint')}</p>
            <div className="flex flex-wrap gap-x-5 gap-y-3">
              <Field
                label={t('shadeBooks.separator')}
                hint={t('shadeBooks.separatorHint')}
                error={errorAt('key.separator')}
              >
                <Input
                  className="w-20 text-center"
                  maxLength={1}
                  value={draft.separator}
                  onChange={({ target }) => onChange({ separator: target.value })}
                />
              </Field>
              <Field label={t('shadeBooks.clear')}>
                <Input
                  className="w-28"
                  maxLength={20}
                  value={draft.clear}
                  onChange={({ target }) => onChange({ clear: target.value })}
                />
              </Field>
              <Field label={t('shadeBooks.corrector')}>
                <Input
                  className="w-20 text-center"
                  maxLength={3}
                  value={draft.corrector}
                  onChange={({ target }) => onChange({ corrector: target.value })}
                />
              </Field>
              <Field label={t('shadeBooks.highLiftFrom')} error={errorAt('key.highLiftFrom')}>
                <NumberInput
                  aria-label={t('shadeBooks.highLiftFrom')}
                  value={draft.highLiftFrom}
                  min={9}
                  max={12}
                  onValue={(highLiftFrom) => onChange({ highLiftFrom })}
                />
              </Field>
              {draft.kind === 'permanent' && draft.highLiftFrom ? (
                <>
                  <Field label={t('shadeBooks.highLiftRatios')} error={errorAt('highLift.ratios')}>
                    <Input
                      className="w-24"
                      value={draft.highLiftRatios}
                      onChange={({ target }) => onChange({ highLiftRatios: target.value })}
                    />
                  </Field>
                  <Field label={t('shadeBooks.highLiftMinutes')} error={errorAt('highLift.minutes')}>
                    <NumberInput
                      aria-label={t('shadeBooks.highLiftMinutes')}
                      value={draft.highLiftMinutes}
                      min={1}
                      max={240}
                      unit={t('reading.set.minutesUnit')}
                      onValue={(highLiftMinutes) => onChange({ highLiftMinutes })}
                    />
                  </Field>
                </>
              ) : null}
            </div>
            <ul className="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3">
              {TONE_FAMILIES.map((family) => (
                <li key={family}>
                  <label className="flex items-center gap-2">
                    <input
                      className="border-strong-line bg-raised min-h-9 w-10 rounded-sm border text-center font-bold"
                      maxLength={1}
                      value={draft.signOf[family] ?? ''}
                      aria-label={t('shadeBooks.signOf', { tone: family })}
                      onChange={({ target }) =>
                        onChange({ signOf: { ...draft.signOf, [family]: target.value.trim() || undefined } })
                      }
                    />
                    {t(`craft:tone.${family}`)}
                  </label>
                </li>
              ))}
            </ul>
            {errorAt('key.signs') ? (
              <p role="alert" className="text-bad text-sm font-semibold">
                {errorAt('key.signs')}
              </p>
            ) : null}
          </Sheet>
        ) : null}
      </div>
      {hasShades(draft.kind) ? (
        <Sheet className="flex flex-col gap-2">
          <h2 className="text-lg">{t('shadeBooks.shadesCount', { count: draft.labels.length })}</h2>
          <ShadeRows draft={draft} line={line} onChange={onChange} />
          {errorAt('shades') ? (
            <p role="alert" className="text-bad text-sm font-semibold">
              {problemWords(
                t,
                problems.find(({ path }) => path?.startsWith('shades'))!,
              )}
            </p>
          ) : null}
        </Sheet>
      ) : null}
    </div>
  );
}
