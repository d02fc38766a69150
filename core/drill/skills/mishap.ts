import type { ToneFamily } from '../../colour';
import { type StretchOfHair, strandLook } from '../../draw';
import { POROSITY_OF, YELLOWS, type Strand, lightenedStrand, naturalStrand } from '../../hair';
import { type Mix, strandUnder } from '../../process';
import { type Line, type Shade, shadesOf } from '../../product';
import { reason } from '../../reason';
import { chooseAmong } from '../choice';
import { lightFor, lineNamed } from '../context';
import { type Term, term } from '../item';
import type { ItemRequest, MadeItem } from '../maker';
import { type Draw, insist } from '../random-draw';

/** What went wrong, and what puts it right (C6, C12): each has one cause and one cure here. */
const CURE_OF = {
  rootFirst: 'depositOnRoot',
  overlap: 'removerOnBand',
  noBase: 'baseForWhite',
  rinsedEarly: 'demiOver',
  noFiller: 'warmThin',
  pulledThrough: 'removerOnEnds',
  tooMuchOpposite: 'clarify',
  tonerTooLight: 'tonerAtLevel',
} as const;
export type Mishap = keyof typeof CURE_OF;
const MISHAPS = Object.keys(CURE_OF) as Mishap[];
type Cure = (typeof CURE_OF)[Mishap];

/** The head as it hangs, and what is known of it: the hair before, the wish, and what was done. */
interface Scene {
  stretches: StretchOfHair[];
  facts: Term[];
  params: Record<string, number | string>;
}

const shadeIn = (line: Line, level: number, primary: ToneFamily): Shade => {
  const shade = shadesOf(line).find(
    ({ level: depth, tone }) => depth === level && tone.primary === primary && !tone.secondary,
  );
  insist(shade !== undefined, `${line.name} has no ${level} ${primary}`);
  return shade;
};
const permanent = (line: Line, level: number, primary: ToneFamily, developerVol: number): Mix => ({
  product: 'permanent',
  shades: [{ shade: shadeIn(line, level, primary), parts: 1 }],
  developerVol,
  ratio: 1.5,
});
const demi = (line: Line, level: number, primary: ToneFamily): Mix => ({
  product: 'demi',
  shades: [{ shade: shadeIn(line, level, primary), parts: 1 }],
  developerVol: 7,
  ratio: 2,
});
const whole = (strand: Strand): StretchOfHair[] => [{ from: 0, to: 1, strand }];
const porous = (strand: Strand): Strand => ({ ...strand, porosity: POROSITY_OF.high });

/** Where the new growth ends, and where a band or porous ends begin, as shares of the strand. */
const PLACES = { root: 0.16, band: [0.16, 0.3], ends: 0.72 } as const;

type Colour = { cream: Line; gel: Line; draw: Draw };

/** Each made by the hair model from what was done. */
const SCENES: Record<Mishap, (colour: Colour) => Scene> = {
  rootFirst: ({ draw }) => {
    const natural = draw.int(3, 6);
    const powder: Mix = { product: 'lightenerStrong', shades: [], developerVol: 20, ratio: 2 };
    const later = draw.pick([15, 20, 25]);
    const root = strandUnder({ mix: powder }, naturalStrand(natural, { fromScalpCm: 0.5 }), 45);
    const lengths = strandUnder({ mix: powder }, naturalStrand(natural), 45 - later);
    return {
      stretches: [
        { from: 0, to: PLACES.root, strand: root },
        { from: PLACES.root, to: 1, strand: lengths },
      ],
      facts: [
        term('fact.hairWas.virgin', { level: natural }),
        term('fact.wasWanted.lighter'),
        term('fact.wasDone.rootFirst', { minutes: later }),
      ],
      params: { natural, minutes: later },
    };
  },
  overlap: ({ cream, draw }) => {
    const level = draw.int(5, 7);
    const mix = permanent(cream, level, draw.pick(['neutral', 'warmBrown'] as const), 20);
    const once = strandUnder({ mix }, naturalStrand(level), 35);
    const again = strandUnder({ mix }, once, 35);
    const [from, to] = PLACES.band;
    return {
      stretches: [
        { from: 0, to: from, strand: once },
        { from, to, strand: again },
        { from: to, to: 1, strand: once },
      ],
      facts: [
        term('fact.hairWas.coloured', { level }),
        term('fact.wasWanted.level', { level }),
        term('fact.wasDone.overlap'),
      ],
      params: { level },
    };
  },
  noBase: ({ cream, draw }) => {
    const level = draw.int(4, 6);
    const white = draw.int(6, 8) / 10;
    const tone = draw.pick(['gold', 'copper'] as const);
    return {
      stretches: whole(
        strandUnder({ mix: permanent(cream, level, tone, 20) }, naturalStrand(level, { white }), 45),
      ),
      facts: [
        term('fact.hairWas.white', { level, share: white }),
        term('fact.wasWanted.tone', { level, tone }),
        term('fact.wasDone.noBase', { level, tone }),
      ],
      params: { level, tone, share: white },
    };
  },
  rinsedEarly: ({ cream, draw }) => {
    const natural = draw.int(4, 6);
    const target = natural + 2;
    return {
      stretches: whole(
        strandUnder({ mix: permanent(cream, target, 'neutral', 30) }, naturalStrand(natural), 12),
      ),
      facts: [
        term('fact.hairWas.virgin', { level: natural }),
        term('fact.wasWanted.level', { level: target }),
        term('fact.wasDone.rinsedEarly', { level: target, minutes: 12 }),
      ],
      params: { natural, target },
    };
  },
  noFiller: ({ gel, draw }) => {
    const target = draw.int(5, 6);
    const reached = draw.int(9, 10);
    return {
      stretches: whole(
        strandUnder({ mix: demi(gel, target, 'neutral') }, porous(lightenedStrand(reached)), 20),
      ),
      facts: [
        term('fact.hairWas.lightened', { level: reached }),
        term('fact.wasWanted.level', { level: target }),
        term('fact.wasDone.noFiller', { level: target }),
      ],
      params: { level: target, reached },
    };
  },
  pulledThrough: ({ cream, draw }) => {
    const level = draw.int(5, 7);
    const mix = permanent(cream, level, 'neutral', 20);
    const lengths = strandUnder({ mix }, naturalStrand(level), 35);
    const ends = strandUnder({ mix }, porous(lengths), 35);
    return {
      stretches: [
        { from: 0, to: PLACES.ends, strand: lengths },
        { from: PLACES.ends, to: 1, strand: ends },
      ],
      facts: [
        term('fact.hairWas.porousEnds', { level }),
        term('fact.wasWanted.level', { level }),
        term('fact.wasDone.pulledThrough'),
      ],
      params: { level },
    };
  },
  tooMuchOpposite: ({ gel, draw }) => {
    const level = draw.int(9, 10);
    const creamy = { ...porous(lightenedStrand(level)), warmthKept: YELLOWS.creamy };
    return {
      stretches: whole(strandUnder({ mix: demi(gel, level, 'violet') }, creamy, 20)),
      facts: [
        term('fact.hairWas.creamy', { level }),
        term('fact.wasWanted.tone', { level, tone: 'pearl' }),
        term('fact.wasDone.tooMuchOpposite', { level }),
      ],
      params: { level },
    };
  },
  tonerTooLight: ({ gel, draw }) => {
    const level = draw.int(6, 7);
    const toner = level + 2;
    return {
      stretches: whole(strandUnder({ mix: demi(gel, toner, 'neutral') }, lightenedStrand(level), 20)),
      facts: [
        term('fact.hairWas.lightened', { level }),
        term('fact.wasWanted.level', { level: toner }),
        term('fact.wasDone.tonerTooLight', { level: toner }),
      ],
      params: { level, toner },
    };
  },
};

/** A result as it hangs, with what was done: what went wrong, or what puts it right. */
export function mishap(making: ItemRequest, asked: 'wentWrong' | 'cure'): MadeItem {
  const { draw, step, scope } = making;
  const which = draw.pick(MISHAPS);
  const { stretches, facts, params } = SCENES[which]({
    cream: lineNamed(draw.pick(['tarnwick', 'ostrel'])),
    gel: lineNamed('quillet'),
    draw,
  });
  const light = lightFor(scope, step, draw.pick);
  const form = step >= 3 ? draw.pick(['straight', 'wavy'] as const) : 'straight';
  const look = strandLook(stretches, light, form, draw.seed());
  const right: Mishap | Cure = asked === 'wentWrong' ? which : CURE_OF[which];
  const words = (of: Mishap | Cure) => term(`option.${asked}.${of}`);
  const others = draw.shuffled(MISHAPS.filter((other) => other !== which));
  return {
    ask: term(`correction.${asked}`),
    facts,
    pictures: [{ look, caption: null }],
    light,
    ...chooseAmong<Mishap | Cure>(
      draw,
      { value: right, words: words(right) },
      others.map((other) => {
        const value = asked === 'wentWrong' ? other : CURE_OF[other];
        return {
          value,
          words: words(value),
          slip: reason(
            `drill.correction.${asked === 'wentWrong' ? 'looksOtherwise' : 'curesOther'}.${other}`,
            'C12',
          ),
        };
      }),
      (value) => value === right,
      { options: step <= 2 ? 4 : 5 },
    ),
    why: [
      reason(`drill.correction.mishap.${which}`, 'C12', params),
      reason(`drill.correction.cureOf.${which}`, 'C6'),
    ],
  };
}
