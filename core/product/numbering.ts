import { type Tone, type ToneFamily, TONE_FAMILIES } from '../colour';
import type { DirectDye } from '../hair';
import { type Reason, reason } from '../reason';
import type { Line } from './line';

export const SERIES = [
  'natural',
  'extraNatural',
  'fashion',
  'highLift',
  'clear',
  'corrector',
  'direct',
  'filler',
] as const;
export type Series = (typeof SERIES)[number];

/** A shade once its label has been read in its own line's key. Clear, correctors and vivid dyes have no level. */
export interface Shade {
  /** Label as it is written, in the line’s own key. */
  label: string;
  /** Series of the shade. */
  series: Series;
  /** Level, 1 to 12. */
  level: number | null;
  /** Tone as primary and, perhaps, weaker secondary. */
  tone: Tone;
  /** The dye of a ready-made vivid shade. */
  dye?: DirectDye;
}

export type LabelReading = { ok: true; shade: Shade } | { ok: false; reason: Reason };

const isLevel = (text: string) => /^\d+$/.test(text) && Number(text) >= 1 && Number(text) <= 12;

/**
 * A label in two: what stands for the level (or for a corrector), and its signs. Null where it has no second part. Where
 * nothing stands between them, a level of two digits is read before one of one, if signs of the line are left: 112 is an
 * 11 of tone 2.
 */
export function splitLabel(
  { key: { separator, signs, corrector } }: Pick<Line, 'key'>,
  label: string,
): { level: string; signs: string } | null {
  if (separator !== '') {
    const at = label.indexOf(separator);
    return at < 1 ? null : { level: label.slice(0, at), signs: label.slice(at + 1) };
  }
  if (corrector !== undefined && label.startsWith(corrector) && label.length > corrector.length)
    return { level: corrector, signs: label.slice(corrector.length) };
  const parts = [2, 1].map((digits) => ({ level: label.slice(0, digits), signs: label.slice(digits) }));
  return (
    parts.find(
      (part) => isLevel(part.level) && part.signs !== '' && [...part.signs].every((sign) => signs[sign]),
    ) ??
    parts.find((part) => isLevel(part.level) && part.signs !== '') ??
    null
  );
}

/**
 * Reads a label such as `7:65` in one line's key (T2): level, separator, primary sign, weaker secondary sign.
 * Fails with a reason that says which part could not be read.
 * @rule T2
 */
export function readLabel(line: Pick<Line, 'key'>, label: string): LabelReading {
  const { signs, clear } = line.key;
  if (clear !== undefined && label === clear) {
    return { ok: true, shade: { label, series: 'clear', level: null, tone: { primary: 'neutral' } } };
  }
  const named = line.key.named?.[label];
  if (named)
    return {
      ok: true,
      shade:
        named.series === 'direct'
          ? { label, series: 'direct', level: null, tone: { primary: 'neutral' }, dye: named.dye }
          : { label, series: 'filler', level: named.level, tone: { primary: 'warmBrown' } },
    };
  const split = splitLabel(line, label);
  if (!split) {
    const { separator } = line.key;
    return {
      ok: false,
      reason:
        separator === ''
          ? reason('label.noParts', 'T2', { label })
          : reason('label.noSeparator', 'T2', { label, separator }),
    };
  }
  const isCorrector = line.key.corrector !== undefined && split.level === line.key.corrector;
  const level = isCorrector ? 0 : Number(split.level);
  if (isCorrector ? false : !Number.isInteger(level) || level < 1 || level > 12) {
    return { ok: false, reason: reason('label.badLevel', 'T2', { label, level: split.level }) };
  }
  const marks = [...split.signs];
  if (marks.length < 1 || marks.length > 2) {
    return { ok: false, reason: reason('label.badToneCount', 'T2', { label, count: marks.length }) };
  }
  const families: ToneFamily[] = [];
  for (const mark of marks) {
    const family = signs[mark];
    if (!family) return { ok: false, reason: reason('label.unknownSign', 'T2', { label, sign: mark }) };
    families.push(family);
  }
  const [primary, secondary] = families;
  // A corrector is pure tone: as strong as a doubled one, and without depth of its own.
  if (isCorrector)
    return {
      ok: true,
      shade: { label, series: 'corrector', level: null, tone: { primary, secondary: secondary ?? primary } },
    };
  const highLift = line.key.highLiftFrom !== undefined && level >= line.key.highLiftFrom;
  const series: Series = highLift
    ? 'highLift'
    : primary !== 'neutral'
      ? 'fashion'
      : secondary === undefined
        ? 'natural'
        : 'extraNatural';
  const tone: Tone =
    secondary === undefined || (primary === 'neutral' && secondary === 'neutral')
      ? { primary }
      : { primary, secondary };
  // A neutral with a second, coloured sign is a fashion shade of that weaker tone, not an extra-pigment natural.
  if (!highLift && primary === 'neutral' && secondary !== undefined && secondary !== 'neutral') {
    return { ok: true, shade: { label, series: 'fashion', level, tone: { primary, secondary } } };
  }
  return { ok: true, shade: { label, series, level, tone } };
}

/** Writes the label of a level and tone in a line's key, or null where the key has no sign for a tone. */
export function writeLabel(line: Pick<Line, 'key'>, level: number, tone: Tone): string | null {
  const signOf = (family: ToneFamily) =>
    Object.entries(line.key.signs).find(([, named]) => named === family)?.[0] ?? null;
  const main = signOf(tone.primary);
  const second = tone.secondary ? signOf(tone.secondary) : '';
  return main === null || second === null ? null : `${level}${line.key.separator}${main}${second}`;
}

/** All shades of a line, read. A shipped line is checked by test; an entered one by {@link unreadableShades}. */
export function shadesOf(line: Line): Shade[] {
  return line.shades.flatMap((label) => {
    const reading = readLabel(line, label);
    return reading.ok ? [reading.shade] : [];
  });
}

/** Labels of a line that its own key cannot read. */
export function unreadableShades(line: Line): Reason[] {
  return line.shades.flatMap((label) => {
    const reading = readLabel(line, label);
    return reading.ok ? [] : [reading.reason];
  });
}

/** The families a line can make, in the handbook's order: what a target may ask of it. */
export function familiesOf(line: Line): ToneFamily[] {
  const present = new Set(
    shadesOf(line)
      .filter(({ series }) => ['natural', 'extraNatural', 'fashion'].includes(series))
      .map((shade) => shade.tone.primary),
  );
  return TONE_FAMILIES.filter((family) => present.has(family));
}
