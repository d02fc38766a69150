import { reason, type Reason } from '../reason';
import { momentOf } from './play';
import { LAB_ZONES, type LabState, type LabZone, type Side } from './setup';

/** Settings that are compared one by one, in the order they matter. */
const PLAIN = [
  'natural',
  'white',
  'porosity',
  'endsPorosity',
  'diameter',
  'history',
  'historyLevel',
  'historyAtRoot',
  'product',
  'vol',
  'ratio',
  'rinseAt',
  'heat',
] as const;
type Plain = (typeof PLAIN)[number];

/** What is set differently on B: `{ setting, a, b }`, shades and starts written out. */
export function settingsChanged({ a, b }: Pick<LabState, 'a' | 'b'>): Reason[] {
  const changed: Reason[] = [];
  const add = (setting: string, was: string | number | boolean, is: string | number | boolean) => {
    if (was !== is) changed.push(reason(`lab.changed.${setting}`, undefined, { a: was, b: is }));
  };
  const matters = (side: Side, setting: Plain) =>
    !(setting === 'historyLevel' || setting === 'historyAtRoot') || side.history !== 'untouched';
  for (const setting of PLAIN)
    if (matters(a, setting) || matters(b, setting)) add(setting, a[setting], b[setting]);
  const bowl = ({ shades }: Side) =>
    shades.map(({ label, parts }) => (parts === 1 ? label : `${parts} × ${label}`)).join(' + ') || '–';
  add('shades', bowl(a), bowl(b));
  if (a.product === 'direct' || b.product === 'direct') add('vivid', a.vivid, b.vivid);
  if (a.product === 'filler' || b.product === 'filler') add('fillsLevel', a.fillsLevel, b.fillsLevel);
  const start = (side: Side, zone: LabZone) => side.starts[zone] ?? '–';
  for (const zone of LAB_ZONES) add(`start.${zone}`, start(a, zone), start(b, zone));
  return changed;
}

/** Half a level is what is read; less is not worth a word. */
const TELLING_LEVELS = 0.3;
const TELLING_DAMAGE = 0.05;

/** What that did, at the minute looked at: per zone where the two sides differ to the eye or in condition. */
export function outcomesChanged(state: LabState): Reason[] {
  const [a, b] = [state.a, state.b].map((side) => momentOf(side, state.minute, 'daylight', 1));
  return LAB_ZONES.flatMap((zone) => {
    const [was, is] = [a.zones[zone], b.zones[zone]];
    const found: Reason[] = [];
    const levels = Math.round((is.level - was.level) * 10) / 10;
    if (Math.abs(levels) >= TELLING_LEVELS) {
      found.push(
        reason(`lab.outcome.${levels > 0 ? 'lighter' : 'deeper'}`, undefined, {
          zone,
          levels: Math.abs(levels),
        }),
      );
    }
    if (was.tone !== is.tone)
      found.push(reason('lab.outcome.tone', undefined, { zone, a: was.tone, b: is.tone }));
    if (Math.abs(is.damage - was.damage) >= TELLING_DAMAGE) {
      found.push(
        reason(`lab.outcome.${is.damage > was.damage ? 'moreDamage' : 'lessDamage'}`, undefined, {
          zone,
          share: Math.abs(is.damage - was.damage),
        }),
      );
    }
    return found;
  });
}
