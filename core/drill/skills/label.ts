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

/** Permanent lines that do the same work by other keys and other ratios. */
const TWINS = ['tarnwick', 'ostrel', 'velm'] as const;
interface Carried {
  label: string;
  /** Grams of developer. */
  developer: number;
}

/**
 * A formula of one line mixed with another: its shade by the other's numbering, its developer by the other's ratio (T2, M1).
 * What is copied from the card is the mistake to be met, label or ratio or both.
 */
function carriedOver(making: ItemRequest): MadeItem {
  const { draw, step } = making;
  const [from, to] = draw.shuffled(TWINS).map((id) => lineNamed(id));
  const shade = drawn(from, { ...making, step: Math.min(step, 3) as typeof step });
  const same = shadesOf(to).find(
    (other) => sameShade({ ...other, level: shade.level }, shade) && other.level === shade.level,
  );
  insist(same !== undefined && shade.series === 'fashion', 'the other line has no such shade');
  const [ratioFrom, ratioTo] = [from.ratios[0], to.ratios[0]];
  insist(ratioFrom !== ratioTo, 'both are mixed alike');
  const colour = draw.pick([20, 30, 40, 50, 60]);
  const own: Carried = { label: same.label, developer: colour * ratioTo };
  const copied = colour * ratioFrom;
  insist(Number.isInteger(own.developer) && Number.isInteger(copied), 'a scale shows whole grams');
  // The signs of the card in the other line, or, where they say nothing there, the tone next to it.
  const sign = signOf(from, shade.tone.primary);
  const meant = sign === undefined ? undefined : to.key.signs[sign];
  const otherTone =
    meant !== undefined && meant !== shade.tone.primary && meant !== 'neutral'
      ? meant
      : draw.pick(familiesOf(to).filter((family) => family !== shade.tone.primary && family !== 'neutral'));
  const trap = writeLabel(to, shade.level!, { primary: otherTone });
  insist(
    trap !== null && shadesOf(to).some(({ label }) => label === trap),
    'no such label to be mistaken for it',
  );
  const words = ({ label, developer }: Carried) => term('option.carried', { label, developer });
  const params = {
    from: from.name,
    to: to.name,
    ratio: ratioFrom,
    own: ratioTo,
    tone: shade.tone.primary,
    other: otherTone,
    colour,
    developer: own.developer,
  };
  const wrongLabel = (label: string) => reason('drill.label.carriedLabel', 'T2', { ...params, label });
  const wrongRatio = reason('drill.label.carriedRatio', 'M1', params);
  return {
    ask: term('label.carried', {
      from: from.name,
      label: shade.label,
      colour,
      developer: copied,
      to: to.name,
    }),
    facts: [term('fact.mixed', { line: to.name, ratio: ratioTo })],
    lineId: to.id,
    ...chooseAmong<Carried>(
      draw,
      { value: own, words: words(own) },
      [
        { value: { label: trap, developer: own.developer }, slip: wrongLabel(trap) },
        { value: { label: own.label, developer: copied }, slip: wrongRatio, near: 0.25 },
        { value: { label: trap, developer: copied }, slip: wrongLabel(trap) },
      ].map((candidate) => ({ ...candidate, words: words(candidate.value) })),
      ({ label, developer }) => label === own.label && developer === own.developer,
    ),
    why: [reason('drill.label.carriedOver', 'T2', { ...params, label: own.label })],
  };
}

/** Skill 8: read a label in its own line's numbering, find the label of a shade, and carry it over (T2). Own lines take part. */
export const label: SkillMaker = {
  facets: (context) =>
    levelsOf(context.scope, 4, 9).length === 0
      ? []
      : [...formulaLines(context).flatMap(({ id }) => [`read:${id}`, `find:${id}`]), 'carried'],
  make: (making) => {
    if (making.facet === 'carried') return carriedOver(making);
    const [, way, lineId] = /^(read|find):(.+)$/.exec(making.facet)!;
    const line = lineNamed(lineId, making);
    return way === 'read' ? read(line, making) : find(line, making);
  },
};
