import { LIGHTS } from '@cimbel/core/colour';
import {
  LAB_MINUTES,
  LAB_WEEKS,
  PRESETS,
  PRESET_NAMES,
  momentOf,
  outcomesChanged,
  settingsChanged,
  type LabState,
  type PresetName,
  type Side,
  type SideMoment,
} from '@cimbel/core/simulate';
import { ArrowLeftRight, Copy, Link as LinkIcon, Maximize, Minimize } from 'lucide-react';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { fromLink, toLink } from '../features/lab/lab-link';
import { LevelChart } from '../features/lab/level-chart';
import { Readings } from '../features/lab/readings';
import { SideForm } from '../features/lab/side-form';
import { BalanceBeam } from '../features/marking/balance';
import { ReasonList } from '../features/marking/reasons';
import { MinuteSlider, TimeSlider } from '../ui/minute-slider';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { Notice } from '../ui/panel';
import { Tress } from '../ui/tress';
import { PageTitle } from '../ui/page-title';
import '../lib/words/reasons';
import '../lib/words/craft';
import '../lib/words/lab';

const SEED = { a: 21, b: 22 };

function useFullScreen() {
  const room = useRef<HTMLDivElement>(null);
  const [full, setFull] = useState(false);
  useEffect(() => {
    const changed = () => setFull(document.fullscreenElement !== null);
    document.addEventListener('fullscreenchange', changed);
    return () => document.removeEventListener('fullscreenchange', changed);
  }, []);
  const toggle = () => void (full ? document.exitFullscreen() : room.current?.requestFullscreen());
  return { room, full, toggle };
}

/** Both locks on one rail, and the time under them. */
function Stage({
  state,
  a,
  b,
  onMinute,
  onWeeks,
}: {
  state: LabState;
  a: SideMoment;
  b: SideMoment;
  onMinute: (minute: number) => void;
  onWeeks: (weeks: number) => void;
}) {
  const { t } = useTranslation();
  const lock = (name: 'A' | 'B', { look }: SideMoment) => (
    <figure className="flex flex-col items-center">
      <Tress
        look={look}
        width={150}
        height={400}
        label={
          state.weeks > 0
            ? t('lab.tressLater', { side: name, weeks: state.weeks })
            : t('lab.tress', { side: name, minute: state.minute })
        }
      />
      <figcaption className="font-display text-xl font-semibold">{name}</figcaption>
    </figure>
  );
  return (
    <div className="bg-surround text-on-surround flex flex-col rounded-sm pt-3">
      <div className="flex justify-around gap-2 px-4">
        {lock('A', a)}
        {lock('B', b)}
      </div>
      <div className="flex flex-wrap gap-x-8 p-4">
        <MinuteSlider dark minute={state.minute} last={LAB_MINUTES} onMinute={onMinute} />
        <TimeSlider dark label={t('lab.weeks')} value={state.weeks} last={LAB_WEEKS} onChange={onWeeks} />
      </div>
    </div>
  );
}

export function LabPage() {
  const { t } = useTranslation(['ui', 'craft']);
  const [params, setParams] = useSearchParams();
  const [linked] = useState(() => {
    const text = params.get('state');
    return { given: text !== null, state: text === null ? null : fromLink(text) };
  });
  const [state, setState] = useState<LabState>(linked.state ?? PRESETS.hotRoot);
  const [preset, setPreset] = useState<PresetName | ''>(linked.state ? '' : 'hotRoot');
  const [copied, setCopied] = useState(false);
  const { room, full, toggle } = useFullScreen();

  const shown = useDeferredValue(state);
  const moments = useMemo(
    () => ({
      a: momentOf(shown.a, shown.minute, shown.light, SEED.a, shown.weeks),
      b: momentOf(shown.b, shown.minute, shown.light, SEED.b, shown.weeks),
    }),
    [shown],
  );
  const changed = useMemo(() => settingsChanged(shown), [shown]);
  const outcomes = useMemo(() => outcomesChanged(shown), [shown]);

  const change = (next: LabState) => {
    setState(next);
    setCopied(false);
  };
  const changeSide = (name: 'a' | 'b') => (part: Partial<Side>) => {
    setPreset('');
    change({ ...state, [name]: { ...state[name], ...part } });
  };
  const choose = (name: PresetName) => {
    setPreset(name);
    change({ ...PRESETS[name], light: state.light });
  };
  const copyLink = async () => {
    const text = toLink(state);
    setParams({ state: text }, { replace: true });
    await navigator.clipboard
      ?.writeText(`${window.location.origin}/lab?state=${text}`)
      .catch(() => undefined);
    setCopied(true);
  };
  return (
    <div ref={room} className="bg-room flex flex-col gap-3 overflow-y-auto p-4">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <PageTitle className="text-xl">{t('lab.title')}</PageTitle>
        <label>
          <span className="sr-only">{t('lab.preset')}</span>
          <select
            className="border-strong-line bg-raised min-h-10 max-w-56 rounded-sm border px-2"
            value={preset}
            onChange={({ target }) => target.value && choose(target.value as PresetName)}
          >
            {preset === '' ? <option value="">{t('lab.presetOwn')}</option> : null}
            {PRESET_NAMES.map((name) => (
              <option key={name} value={name}>
                {t(`lab.presets.${name}`)}
              </option>
            ))}
          </select>
        </label>
        <Choice
          label={t('lab.light')}
          value={state.light}
          onChange={(light) => change({ ...state, light })}
          options={LIGHTS.map((value) => ({ value, text: t(`craft:light.${value}`) }))}
        />
        <span className="ms-auto flex flex-wrap gap-1">
          <Button
            className="px-2 text-sm"
            icon={<ArrowLeftRight aria-hidden className="size-4" />}
            onClick={() => change({ ...state, a: state.b, b: state.a })}
          >
            {t('lab.swap')}
          </Button>
          <Button
            className="px-2 text-sm"
            icon={<Copy aria-hidden className="size-4" />}
            onClick={() => changeSide('b')(state.a)}
          >
            {t('lab.copyToB')}
          </Button>
          <Button
            className="px-2 text-sm"
            icon={<LinkIcon aria-hidden className="size-4" />}
            onClick={() => void copyLink()}
          >
            {t(copied ? 'action.copied' : 'lab.copyLink')}
          </Button>
          <Button
            className="px-2 text-sm"
            icon={
              full ? <Minimize aria-hidden className="size-4" /> : <Maximize aria-hidden className="size-4" />
            }
            onClick={toggle}
          >
            {t(full ? 'lab.leaveFull' : 'lab.full')}
          </Button>
        </span>
      </div>
      {linked.given && !linked.state ? <Notice kind="warn">{t('lab.badLink')}</Notice> : null}
      <div className="grid items-start gap-3 wide:grid-cols-[16rem_minmax(0,1fr)_16rem]">
        <SideForm name="A" side={state.a} onChange={changeSide('a')} />
        <div className="flex min-w-0 flex-col gap-3 max-wide:-order-1">
          <Stage
            state={state}
            {...moments}
            onMinute={(minute) => change({ ...state, minute })}
            onWeeks={(weeks) => change({ ...state, weeks })}
          />
          <section className="bg-sheet border-line rounded-sm border p-3" aria-live="polite">
            <h2 className="text-base">{t('lab.difference')}</h2>
            <div className="grid gap-x-4 text-sm md:grid-cols-2">
              {changed.length > 0 ? <ReasonList reasons={changed} /> : <p>{t('lab.same')}</p>}
              <div>
                <p className="text-quiet">
                  {shown.weeks > 0
                    ? t('lab.later', { weeks: shown.weeks, minute: shown.minute })
                    : t('lab.atMinute', { minute: shown.minute })}
                </p>
                {outcomes.length > 0 ? (
                  <OutcomeList outcomes={outcomes} />
                ) : (
                  <p>{t(shown.weeks > 0 ? 'lab.sameLater' : 'lab.sameOutcome')}</p>
                )}
                {shown.weeks > 0 ? <p>{t('lab.newGrowth', { cm: moments.a.regrowthCm })}</p> : null}
                {(['a', 'b'] as const).map((side) => {
                  const { noticed } = moments[side];
                  if (!noticed) return null;
                  const { line, fading } = noticed;
                  const told = [
                    ...(line === null ? [] : [t('lab.noticed.line', { weeks: line })]),
                    ...(fading === null ? [] : [t('lab.noticed.fading', { weeks: fading })]),
                  ];
                  return (
                    <p key={side}>
                      {t('lab.noticed.side', {
                        side: side.toUpperCase(),
                        what: told.length > 0 ? told.join(', ') : t('lab.noticed.nothing'),
                      })}
                    </p>
                  );
                })}
              </div>
            </div>
          </section>
          <Readings {...moments} />
          <LevelChart state={shown} />
          <div className="grid gap-3 md:grid-cols-2">
            {(['a', 'b'] as const).map((name) =>
              moments[name].balance ? (
                <BalanceBeam
                  key={name}
                  title={name.toUpperCase()}
                  levelReached={moments[name].balance.levelReached}
                  mix={moments[name].balance.shades}
                  rules={{ underlay: 'fine' }}
                />
              ) : null,
            )}
          </div>
          <p className="text-quiet text-sm">{t('lab.caution')}</p>
        </div>
        <SideForm name="B" side={state.b} onChange={changeSide('b')} />
      </div>
    </div>
  );
}

/** The same kind of finding may stand for several zones, so the zone is part of its name. */
function OutcomeList({ outcomes }: { outcomes: ReturnType<typeof outcomesChanged> }) {
  const { t } = useTranslation('reasons');
  return (
    <ul>
      {outcomes.map(({ code, params }) => (
        <li key={`${code} ${params.zone}`}>{t(code, params)}</li>
      ))}
    </ul>
  );
}
