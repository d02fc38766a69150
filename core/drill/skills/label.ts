import { reason } from '../../reason';
import {
  familiesOf,
  readLabel,
  shadesOf,
  FORMULA_LINES,
  writeLabel,
  type Line,
  type Shade,
} from '../../shades';
import { chooseAmong, type Candidate } from '../choice';
import { levelsOf, lineNamed } from '../context';
import { insist } from '../draw';
import { term, type Term } from '../item';
import type { Made, Making, SkillMaker } from '../make';

export function shadeTerm({ level: depth, tone, series }: Pick<Shade, 'level' | 'tone' | 'series'>): Term {
  // Clear is not asked about: it has no level and no tone to read.
  const level = depth!;
  if (series === 'natural' || series === 'extraNatural') return term(`option.${series}`, { level });
  return tone.secondary
    ? term('option.shadeTwo', { level, primary: tone.primary, secondary: tone.secondary })
    : term('option.shadeOne', { level, primary: tone.primary });
}
const sameShade = (a: Shade, b: Shade) =>
  a.level === b.level &&
  a.series === b.series &&
  a.tone.primary === b.tone.primary &&
  a.tone.secondary === b.tone.secondary;

/** Series whose labels are read in the key; the others have names of their own or are met elsewhere. */
const ASKED: readonly Shade['series'][] = ['natural', 'extraNatural', 'fashion'];
const colouredOf = (line: Line, { scope, step }: Making) =>
  shadesOf(line).filter(
    ({ level, tone, series }) =>
      level !== null &&
      level >= scope.minLevel &&
      level <= scope.maxLevel &&
      (step >= 3 || !tone.secondary) &&
      ASKED.includes(series) &&
      (step >= 2 || series === 'fashion'),
  );

/** What the same marks would mean in another line, or with one part of them misread. */
function misreadings(line: Line, shade: Shade, { draw }: Making): { shade: Shade; slip: string }[] {
  const other = draw.pick(FORMULA_LINES.filter(({ id }) => id !== line.id));
  const signs = Object.keys(line.key.signs);
  const inOrder = Object.keys(other.key.signs);
  const translate = (family: Shade['tone']['primary']) => {
    const sign = signs.find((mark) => line.key.signs[mark] === family);
    return sign === undefined ? family : (other.key.signs[inOrder[signs.indexOf(sign)]] ?? family);
  };
  const { primary, secondary } = shade.tone;
  const tones = draw.shuffled(
    familiesOf(line).filter((family) => family !== primary && family !== 'neutral'),
  );
  const fashion = (tone: Shade['tone'], level = shade.level): Shade => ({
    ...shade,
    level,
    tone,
    series: 'fashion',
  });
  return [
    ...(secondary ? [{ shade: fashion({ primary: secondary, secondary: primary }), slip: 'swapped' }] : []),
    ...(shade.series === 'extraNatural'
      ? [{ shade: { ...shade, series: 'natural' as const }, slip: 'notDoubled' }]
      : []),
    ...(shade.series === 'natural'
      ? [{ shade: { ...shade, series: 'extraNatural' as const }, slip: 'notDoubled' }]
      : []),
    { shade: fashion({ ...shade.tone, primary: translate(primary) }), slip: 'otherKey' },
    { shade: { ...shade, level: shade.level! + 1 }, slip: 'level' },
    { shade: { ...shade, level: shade.level! - 1 }, slip: 'level' },
    ...tones
      .slice(0, 4)
      .map((family) => ({ shade: fashion({ ...shade.tone, primary: family }), slip: 'tone' })),
  ].filter(
    ({ shade: { level, tone, series } }) =>
      level! >= 1 &&
      level! <= 10 &&
      (series !== 'fashion' || (tone.primary !== tone.secondary && tone.primary !== 'neutral')),
  );
}

/** What a label says, for the reason given with the answer. */
function saysOf(line: Line, { label, level, tone, series }: Shade) {
  const params = { line: line.name, label, level: level! };
  if (series === 'natural') return reason('drill.label.isNatural', 'T2', params);
  if (series === 'extraNatural') return reason('drill.label.isExtra', 'T2', params);
  return tone.secondary
    ? reason('drill.label.isTwo', 'T2', { ...params, tone: tone.primary, second: tone.secondary })
    : reason('drill.label.isOne', 'T2', { ...params, tone: tone.primary });
}

const slipOf = (slip: string, line: Line) => reason(`drill.label.${slip}`, 'T2', { line: line.name });

function read(line: Line, making: Making): Made {
  const { draw } = making;
  const shade = draw.pick(colouredOf(line, making));
  const wrong: Candidate<Shade>[] = misreadings(line, shade, making).map((misread) => ({
    value: misread.shade,
    words: shadeTerm(misread.shade),
    slip: slipOf(misread.slip, line),
  }));
  return {
    ask: term('label.read', { line: line.name, label: shade.label }),
    lineId: line.id,
    ...chooseAmong(
      draw,
      { value: shade, words: shadeTerm(shade) },
      wrong,
      (value) => {
        const reading = readLabel(line, shade.label);
        return reading.ok && sameShade(reading.shade, value);
      },
      { options: making.step >= 4 ? 6 : 4, least: 3 },
    ),
    why: [saysOf(line, shade)],
  };
}

function find(line: Line, making: Making): Made {
  const { draw } = making;
  const shade = draw.pick(colouredOf(line, making));
  const asLabel = (wanted: Shade): string | null =>
    wanted.series === 'extraNatural'
      ? `${writeLabel(line, wanted.level!, { primary: 'neutral' })}${writeLabel(line, 1, { primary: 'neutral' })!.slice(-1)}`
      : writeLabel(line, wanted.level!, wanted.tone);
  const wrong = misreadings(line, shade, making).flatMap(({ shade: misread, slip }) => {
    const label = asLabel(misread);
    return label === null
      ? []
      : [{ value: label, words: term('option.label', { label }), slip: slipOf(slip, line) }];
  });
  insist(asLabel(shade) === shade.label, 'this label is not what its key writes');
  return {
    ask: term('label.find', { line: line.name }),
    facts: [shadeTerm(shade)],
    lineId: line.id,
    ...chooseAmong(
      draw,
      { value: shade.label, words: term('option.label', { label: shade.label }) },
      wrong,
      (label) => {
        const reading = readLabel(line, label);
        return reading.ok && sameShade(reading.shade, shade);
      },
      { options: making.step >= 4 ? 6 : 4, least: 3 },
    ),
    why: [saysOf(line, shade)],
  };
}

/** Skill 8: read a label in its own line's key, and find the label of a wanted shade (T2). */
export const label: SkillMaker = {
  facets: (context) =>
    levelsOf(context.scope, 4, 9).length === 0
      ? []
      : FORMULA_LINES.flatMap(({ id }) => [`read:${id}`, `find:${id}`]),
  make: (making) => {
    const [way, lineId] = making.facet.split(':');
    const line = lineNamed(lineId);
    return way === 'read' ? read(line, making) : find(line, making);
  },
};
