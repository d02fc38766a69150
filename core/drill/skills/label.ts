import type { ToneFamily } from '../../colour';
import { type Shade, shadesOf, familiesOf, readLabel, writeLabel, type Line } from '../../product';
import { type Reason, reason } from '../../reason';
import { type OptionCandidate, chooseAmong } from '../choice';
import { formulaLines, levelsOf, lineNamed } from '../context';
import { type Term, term } from '../item';
import type { ItemRequest, MadeItem, SkillMaker } from '../maker';
import { insist } from '../random-draw';

/** Words for a shade. */
export function shadeTerm({ level: depth, tone, series }: Pick<Shade, 'level' | 'tone' | 'series'>): Term {
  // Clear is not asked about: it has no level and no tone to read.
  const level = depth!;
  if (series === 'natural' || series === 'extraNatural') return term(`option.${series}`, { level });
  const { primary, secondary } = tone;
  if (secondary === primary) return term('option.shadeIntense', { level, primary });
  return secondary
    ? term('option.shadeTwo', { level, primary, secondary })
    : term('option.shadeOne', { level, primary });
}
const sameShade = (a: Shade, b: Shade) =>
  a.level === b.level &&
  a.series === b.series &&
  a.tone.primary === b.tone.primary &&
  a.tone.secondary === b.tone.secondary;

/** Series whose labels are read in the numbering; the others have names of their own or are met elsewhere. */
const ASKED: readonly Shade['series'][] = ['natural', 'extraNatural', 'fashion'];
/** How often a hard item is of two tones or an intense one, where the line has any. */
const MANY_TONED = 0.75;

function drawn(line: Line, { draw, scope, step }: ItemRequest): Shade {
  const pool = shadesOf(line).filter(
    ({ level, tone, series }) =>
      level !== null &&
      level >= scope.minLevel &&
      level <= scope.maxLevel &&
      (step >= 3 || !tone.secondary) &&
      ASKED.includes(series) &&
      (step >= 2 || series === 'fashion'),
  );
  const many = pool.filter(({ tone, series }) => tone.secondary || series === 'extraNatural');
  return draw.pick(step >= 4 && many.length > 0 && draw.chance(MANY_TONED) ? many : pool);
}

const signOf = (line: Line, family: ToneFamily): string | undefined =>
  Object.keys(line.key.signs).find((sign) => line.key.signs[sign] === family);

interface Misreading {
  shade: Shade;
  why: Reason;
}

/** What the same marks would mean in another line, or with one part of them misread; the likeliest first. */
function misreadings(line: Line, shade: Shade, making: ItemRequest): Misreading[] {
  const { draw } = making;
  const { primary, secondary } = shade.tone;
  const said = { line: line.name, label: shade.label, level: shade.level! };
  const fashion = (tone: Shade['tone']): Shade => ({ ...shade, tone, series: 'fashion' });
  const intense = secondary !== undefined && secondary === primary;
  const two = secondary !== undefined && !intense;
  const sign = signOf(line, primary);
  // The same sign in another line: what who remembers that line would read here.
  const elsewhere = draw.shuffled(formulaLines(making)).flatMap((other): Misreading[] => {
    const family = sign === undefined || other.id === line.id ? undefined : other.key.signs[sign];
    return family === undefined || family === primary || family === 'neutral'
      ? []
      : [
          {
            shade: fashion({ primary: family, ...(two ? { secondary } : {}) }),
            why: reason('drill.label.otherLine', 'T2', {
              ...said,
              sign: sign!,
              other: other.name,
              tone: family,
              own: primary,
            }),
          },
        ];
  });
  const others = draw
    .shuffled(
      familiesOf(line).filter((family) => family !== primary && family !== secondary && family !== 'neutral'),
    )
    .map((family): Misreading => ({
      shade: fashion({ primary: family, ...(two ? { secondary } : {}) }),
      why: reason('drill.label.hasOtherSign', 'T2', {
        ...said,
        tone: family,
        sign: signOf(line, family) ?? '',
      }),
    }));
  return [
    ...(two
      ? [
          {
            shade: fashion({ primary: secondary, secondary: primary }),
            why: reason('drill.label.swapped', 'T2', { ...said, tone: primary, second: secondary }),
          },
          {
            shade: fashion({ primary }),
            why: reason('drill.label.secondLeftOut', 'T2', { ...said, second: secondary }),
          },
        ]
      : []),
    ...(intense
      ? [
          {
            shade: fashion({ primary }),
            why: reason('drill.label.notIntense', 'T2', { ...said, tone: primary }),
          },
        ]
      : []),
    ...(shade.series === 'extraNatural'
      ? [
          {
            shade: { ...shade, series: 'natural' as const, tone: { primary: 'neutral' as const } },
            why: reason('drill.label.notDoubled', 'T2', said),
          },
        ]
      : []),
    ...(shade.series === 'natural'
      ? [
          {
            shade: { ...shade, series: 'extraNatural' as const },
            why: reason('drill.label.notSingle', 'T2', said),
          },
        ]
      : []),
    ...elsewhere.slice(0, 1),
    ...others.slice(0, 2),
    ...elsewhere.slice(1),
    ...others.slice(2),
  ].filter(({ shade: { tone, series } }) => series !== 'fashion' || tone.primary !== 'neutral');
}

/** What a label says, for the reason given with the answer. */
function saysOf(line: Line, { label, level, tone, series }: Shade) {
  const params = { line: line.name, label, level: level! };
  if (series === 'natural') return reason('drill.label.isNatural', 'T2', params);
  if (series === 'extraNatural') return reason('drill.label.isExtra', 'T2', params);
  if (tone.secondary === tone.primary)
    return reason('drill.label.isIntense', 'T2', { ...params, tone: tone.primary });
  return tone.secondary
    ? reason('drill.label.isTwo', 'T2', { ...params, tone: tone.primary, second: tone.secondary })
    : reason('drill.label.isOne', 'T2', { ...params, tone: tone.primary });
}

function read(line: Line, making: ItemRequest): MadeItem {
  const { draw } = making;
  const shade = drawn(line, making);
  const wrong: OptionCandidate<Shade>[] = misreadings(line, shade, making).map((misread) => ({
    value: misread.shade,
    words: shadeTerm(misread.shade),
    slip: misread.why,
  }));
  return {
    ask: term('label.read', { line: line.name, label: shade.label }),
    lineId: line.id,
    hands: { kind: 'tube', lineId: line.id, label: shade.label },
    ...chooseAmong(
      draw,
      { value: shade, words: shadeTerm(shade) },
      wrong,
      (value) => {
        const reading = readLabel(line, shade.label);
        return reading.ok && sameShade(reading.shade, value);
      },
      { options: making.step >= 4 ? 6 : 4 },
    ),
    why: [saysOf(line, shade)],
  };
}

interface Mistaken {
  shade: Shade;
  /** What the label that was taken says. */
  why: (label: string) => Reason;
}

/** Labels that are taken for the one that is looked for: by another line's numbering, turned round, or of another tone. */
function mistaken(line: Line, shade: Shade, making: ItemRequest): Mistaken[] {
  const { draw } = making;
  const { primary, secondary } = shade.tone;
  const fashion = (tone: Shade['tone']): Shade => ({ ...shade, tone, series: 'fashion' });
  const two = secondary !== undefined && secondary !== primary;
  const ofTone = (family: ToneFamily): Shade =>
    fashion({ primary: family, ...(two && family !== secondary ? { secondary } : {}) });
  const elsewhere = draw.shuffled(formulaLines(making)).flatMap((other): Mistaken[] => {
    const sign = other.id === line.id ? undefined : signOf(other, primary);
    const here = sign === undefined ? undefined : line.key.signs[sign];
    return here === undefined || here === primary || here === 'neutral'
      ? []
      : [
          {
            shade: ofTone(here),
            why: () =>
              reason('drill.label.foundElsewhere', 'T2', {
                line: line.name,
                other: other.name,
                sign: sign!,
                tone: primary,
                own: here,
              }),
          },
        ];
  });
  const others = draw
    .shuffled(
      familiesOf(line).filter((family) => family !== primary && family !== secondary && family !== 'neutral'),
    )
    .map((family): Mistaken => ({
      shade: ofTone(family),
      why: (label) => reason('drill.label.foundOther', 'T2', { line: line.name, label, tone: family }),
    }));
  const near = misreadings(line, shade, making)
    .filter(({ why: { code } }) => NEAR_MISREADINGS.includes(code))
    .map(({ shade: misread, why: { code } }): Mistaken => ({
      shade: misread,
      why: (label) =>
        reason(`${code}Found`, 'T2', {
          line: line.name,
          label,
          ...(primary === 'neutral' ? {} : { tone: primary }),
          ...(two ? { second: secondary } : {}),
        }),
    }));
  return [
    ...near,
    ...elsewhere.slice(0, 1),
    ...others.slice(0, 2),
    ...elsewhere.slice(1),
    ...others.slice(2),
  ];
}
/** Misreadings of one part of a label, that are met in looking for one as well. */
const NEAR_MISREADINGS = [
  'drill.label.swapped',
  'drill.label.secondLeftOut',
  'drill.label.notIntense',
  'drill.label.notDoubled',
  'drill.label.notSingle',
];

function find(line: Line, making: ItemRequest): MadeItem {
  const { draw } = making;
  const shade = drawn(line, making);
  const asLabel = (wanted: Shade): string | null =>
    wanted.series === 'extraNatural'
      ? `${writeLabel(line, wanted.level!, { primary: 'neutral' })}${writeLabel(line, 1, { primary: 'neutral' })!.slice(-1)}`
      : writeLabel(line, wanted.level!, wanted.tone);
  const wrong = mistaken(line, shade, making).flatMap((misread) => {
    const label = asLabel(misread.shade);
    return label === null
      ? []
      : [{ value: label, words: term('option.label', { label }), slip: misread.why(label) }];
  });
  insist(asLabel(shade) === shade.label, 'this label is not what its numbering writes');
  return {
    ask: term('label.find', { line: line.name }),
    facts: [shadeTerm(shade)],
    lineId: line.id,
    hands: { kind: 'shelf', lineIds: [line.id] },
    ...chooseAmong(
      draw,
      { value: shade.label, words: term('option.label', { label: shade.label }) },
      wrong,
      (label) => {
        const reading = readLabel(line, label);
        return reading.ok && sameShade(reading.shade, shade);
      },
      { options: making.step >= 4 ? 6 : 4 },
    ),
    why: [saysOf(line, shade)],
  };
}

/** Skill 8: read a label in its own line's numbering, and find the label of a wanted shade (T2). Own lines take part. */
export const label: SkillMaker = {
  facets: (context) =>
    levelsOf(context.scope, 4, 9).length === 0
      ? []
      : formulaLines(context).flatMap(({ id }) => [`read:${id}`, `find:${id}`]),
  make: (making) => {
    const [, way, lineId] = /^(read|find):(.+)$/.exec(making.facet)!;
    const line = lineNamed(lineId, making);
    return way === 'read' ? read(line, making) : find(line, making);
  },
};
