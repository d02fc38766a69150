import type { HistoryLayer } from '../../hair';
import { type Reason, reason } from '../../reason';
import { WITHOUT_DEVELOPER, momentOf } from './sides';
import { type LabState, type Side, type LabCoat, type LabZone, LAB_ZONES } from './setup';

/** Settings of the hair and of a coat that are compared one by one, in the order they matter. */
const OF_HAIR = ['natural', 'white', 'resistant', 'porosity', 'endsPorosity', 'diameter'] as const;
const OF_COAT = ['product', 'vol', 'ratio', 'thinned', 'amount', 'wet', 'conditioner', 'heat'] as const;

/** Habits that are compared, once there are weeks in which they tell. */
const OF_HABITS = ['washes', 'water', 'shampoo', 'clarifying', 'violet', 'blue', 'sun', 'pool'] as const;

/** Settings that say nothing where a product takes no developer. */
const OF_DEVELOPER: readonly string[] = ['vol', 'ratio', 'thinned'];

type Value = string | number | boolean;

/** A layer of history in one line, for telling two histories apart: codes, worded by the interface. */
export const pastName = (layer: HistoryLayer): string => {
  switch (layer.kind) {
    case 'lightened':
      return `lightened ${layer.level}${layer.yellow && layer.yellow !== 'usual' ? ` ${layer.yellow}` : ''}`;
    case 'direct':
      return `direct ${layer.dye}`;
    case 'treated':
      return `treated ${layer.treatment}`;
    case 'chemical':
      return `chemical ${layer.service} ${layer.weeksAgo}`;
    case 'mineral':
      return `mineral ${layer.amount}`;
    default:
      return `${layer.kind} ${layer.level} ${layer.tone.primary}`;
  }
};

/** What is set differently on B: `{ setting, a, b }`, shades and starts written out. */
export function settingsChanged({ a, b, weeks }: Pick<LabState, 'a' | 'b' | 'weeks'>): Reason[] {
  const changed: Reason[] = [];
  const add = (setting: string, was: Value, is: Value, more: Reason['params'] = {}) => {
    if (was !== is) changed.push(reason(`lab.changed.${setting}`, undefined, { a: was, b: is, ...more }));
  };
  for (const setting of OF_HAIR) add(setting, a[setting], b[setting]);
  const past = ({ past }: Side) => past.map(pastName).join(', ');
  if (JSON.stringify(a.past) !== JSON.stringify(b.past))
    changed.push(reason('lab.changed.past', undefined, { a: past(a), b: past(b) }));
  if (a.past.length > 0 || b.past.length > 0) add('pastAtRoot', a.pastAtRoot, b.pastAtRoot);
  add('coats', a.coats.length, b.coats.length);
  const bowl = ({ shades }: LabCoat) =>
    shades.map(({ label, parts }) => (parts === 1 ? label : `${parts} × ${label}`)).join(' + ') || '–';
  const start = (coat: LabCoat, zone: LabZone) => coat.starts[zone] ?? '–';
  a.coats.forEach((labCoat, i) => {
    const other = b.coats[i];
    if (!other) return;
    const poured = ![labCoat, other].some(({ product }) => WITHOUT_DEVELOPER.includes(product));
    for (const setting of OF_COAT)
      if (poured || !OF_DEVELOPER.includes(setting)) add(setting, labCoat[setting], other[setting]);
    add('rinseAt', labCoat.rinseAt ?? '–', other.rinseAt ?? '–');
    add('shades', bowl(labCoat), bowl(other));
    if (labCoat.product === 'direct' || other.product === 'direct') add('vivid', labCoat.vivid, other.vivid);
    if (labCoat.product === 'filler' || other.product === 'filler')
      add('fillsLevel', labCoat.fillsLevel, other.fillsLevel);
    for (const zone of LAB_ZONES) add(`start.${zone}`, start(labCoat, zone), start(other, zone));
  });
  if (weeks > 0) for (const habit of OF_HABITS) add(habit, a.habits[habit], b.habits[habit]);
  return changed;
}

/** Half a level is what is read; less is not worth a word. */
const TELLING_LEVELS = 0.3;
const TELLING_DAMAGE = 0.05;
/** A third of a full tone. */
const TELLING_STRENGTH = 0.33;
/** ΔE2000 between white strands and the others. */
const TELLING_WHITE = 3;
const TELLING_MISSED = 0.1;

/** What that did, at the minute looked at: per zone where the two sides differ to the eye or in condition. */
export function outcomesChanged(state: LabState): Reason[] {
  const [a, b] = [state.a, state.b].map((side) => momentOf(side, state.minute, 'daylight', 1, state.weeks));
  return together(
    LAB_ZONES.flatMap((zone) => {
      const [was, is] = [a.zones[zone], b.zones[zone]];
      const found: Reason[] = [];
      const say = (code: string, params: Reason['params']) =>
        found.push(reason(`lab.outcome.${code}`, undefined, { zone, ...params }));
      const levels = Math.round((is.level - was.level) * 10) / 10;
      if (Math.abs(levels) >= TELLING_LEVELS)
        say(levels > 0 ? 'lighter' : 'deeper', { levels: Math.abs(levels) });
      if (was.tone !== is.tone) say('tone', { a: was.tone, b: is.tone });
      else if (Math.abs(is.strength - was.strength) >= TELLING_STRENGTH)
        say(is.strength > was.strength ? 'stronger' : 'weaker', { tone: is.tone });
      if (Math.abs(is.damage - was.damage) >= TELLING_DAMAGE)
        say(is.damage > was.damage ? 'moreDamage' : 'lessDamage', {
          share: Math.abs(is.damage - was.damage),
        });
      if (Math.abs(is.whiteApart - was.whiteApart) >= TELLING_WHITE)
        say(is.whiteApart > was.whiteApart ? 'greyMore' : 'greyLess', {});
      if (was.stretch !== is.stretch) say('stretch', { a: was.stretch, b: is.stretch });
      if (Math.abs(is.missed - was.missed) >= TELLING_MISSED)
        say('missed', { a: Math.round(was.missed * 100) / 100, b: Math.round(is.missed * 100) / 100 });
      return found;
    }),
  );
}

/** What is the same of every zone is said once, of the whole length. */
function together(reason: Reason[]): Reason[] {
  const alike = (one: Reason, other: Reason) =>
    one.code === other.code &&
    JSON.stringify({ ...one.params, zone: '' }) === JSON.stringify({ ...other.params, zone: '' });
  return reason.flatMap((one) => {
    const same = reason.filter((other) => alike(one, other));
    if (same.length < LAB_ZONES.length) return [one];
    return same[0] === one ? [{ ...one, params: { ...one.params, zone: 'whole' } }] : [];
  });
}
