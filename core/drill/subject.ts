import {
  type Tone,
  toneLab,
  neutralLab,
  type Light,
  type Lab,
  differenceOf,
  levelOfLightness,
  lightnessOfLevel,
} from '../colour';
import { type TressLook, strandLook } from '../draw';
import {
  type Porosity,
  type HairForm,
  type Strand,
  naturalStrand,
  lightenedStrand,
  labOfStrand,
  YELLOWS,
  strandOfColour,
} from '../hair';
import { type Mix, strandUnder } from '../process';
import type { Shade } from '../product';
import { seededRandom } from '../random';
import type { Apart } from './item';
import { Unfit } from './random-draw';

/** Hair of one zone in a few words, so that the hair of a wrong answer can be drawn as easily as that of the right one. */
export type Subject =
  | { kind: 'natural'; level: number; white: number; porosity: Porosity }
  /** Lightened hair; how much yellow was left in it where that is not what is usual. */
  | { kind: 'lightened'; level: number; white: number; yellow?: 'bright' | 'creamy' }
  /** Coloured hair of a level and tone, as a target is drawn. */
  | { kind: 'toned'; level: number; tone: Tone; white: number }
  /** Lightened hair after a low-strength colour of one shade has worked its full time. */
  | {
      /** Which kind it is. */
      kind: 'glossed';
      /** Level, 1 to 12. */
      level: number;
      /** The shade. */
      shade: Shade;
      /** Share of white strands, fraction 0–1. */
      white: number;
      /** Kind of product. */
      product?: 'demi' | 'acidGloss';
      /** Clear in the bowl: `dose` is the part 0–1 of it that is shade. All of it when left out. */
      thinned?: { clear: Shade; dose: number };
    };

/** How each low-strength line is mixed and timed, as its maker has it; a demi where nothing is said. */
const GLOSS = {
  demi: { developerVol: 7, ratio: 2, minutes: 20 },
  acidGloss: { developerVol: 5, ratio: 1, minutes: 15 },
} as const;

/** There are few levels, tones and shades, and each strand takes some work: what was found once is kept. */
const MOST_KEPT = 4000;
const cache = new Map<string, Strand | null>();
/** The strand of a subject, worked out once. */
export function keptStrand(name: string, find: () => Strand | null): Strand {
  let strand = cache.get(name);
  if (strand === undefined) {
    strand = find();
    if (cache.size < MOST_KEPT) cache.set(name, strand);
  }
  if (!strand) throw new Unfit('no hair has this colour');
  return strand;
}

function pigmented(subject: Subject): Strand {
  switch (subject.kind) {
    case 'natural':
      return naturalStrand(subject.level, { porosity: subject.porosity });
    case 'lightened':
      return keptStrand(`lightened ${subject.level} ${subject.yellow ?? ''}`, () => {
        const strand = lightenedStrand(subject.level);
        return subject.yellow ? { ...strand, warmthKept: YELLOWS[subject.yellow] } : strand;
      });
    case 'toned': {
      const { level, tone } = subject;
      return keptStrand(`${level} ${tone.primary} ${tone.secondary ?? ''}`, () =>
        strandOfColour(toneLab(level, tone)),
      );
    }
    case 'glossed': {
      const { level, shade, product = 'demi', thinned } = subject;
      const { minutes, ...mixed } = GLOSS[product];
      const dose = thinned?.dose ?? 1;
      const shades = [
        { shade, parts: dose },
        ...(thinned ? [{ shade: thinned.clear, parts: 1 - dose }] : []),
      ];
      const mix: Mix = { product, shades, ...mixed };
      return keptStrand(`${product} ${level} ${dose} ${shade.level} ${JSON.stringify(shade.tone)}`, () =>
        strandUnder({ mix }, lightenedStrand(level), minutes),
      );
    }
  }
}

/** @throws Unfit for a colour no hair has. */
export const strandOfSubject = (subject: Subject): Strand => ({
  ...pigmented(subject),
  white: subject.white,
});

/** Colour of the pigmented strands in a light. */
export function labOfSubject(subject: Subject, light: Light = 'daylight'): Lab {
  const strand = pigmented(subject);
  // Coloured hair is made to have this colour in daylight.
  if (subject.kind === 'toned' && light === 'daylight') return toneLab(subject.level, subject.tone);
  const known = labs[light].get(strand);
  if (known) return known;
  const lab = labOfStrand(strand, light);
  labs[light].set(strand, lab);
  return lab;
}
const labs: Record<Light, WeakMap<Strand, Lab>> = {
  daylight: new WeakMap(),
  warmLamp: new WeakMap(),
  coolWhite: new WeakMap(),
};

/** How hard it is to tell this hair from the same hair a little lighter or darker. */
export function apartByLevel(subject: Subject, levels: number): Apart {
  const own = labOfSubject(subject);
  const neighbours = [subject.level - levels, subject.level + levels].filter(
    (level) => level >= 1 && level <= 10,
  );
  return {
    deltaE: Math.min(...neighbours.map((level) => differenceOf(own, labOfSubject({ ...subject, level })))),
    levels,
  };
}

/** How hard it is to tell this hair from the same hair with a little more or less white in it. */
export function apartByWhite(subject: Subject, share: number): Apart {
  const seen = (white: number) => labOfStrand(strandOfSubject({ ...subject, white }));
  const neighbours = [subject.white - share, subject.white + share].filter(
    (white) => white >= 0 && white <= 1,
  );
  return {
    deltaE: Math.min(...neighbours.map((white) => differenceOf(seen(subject.white), seen(white)))),
    levels: 0,
  };
}

/**
 * A lamp may shift how light hair looks; beyond this, in levels, the reading would no longer be the level of the hair.
 * Less where halves are asked.
 */
const MOST_SHIFT_BY_LIGHT = { whole: 0.35, half: 0.2 } as const;
/** Whether a subject keeps its level when its tone is changed. */
export function keepsLevel(subject: Subject, light: Light, halves: boolean): boolean {
  const most = halves ? MOST_SHIFT_BY_LIGHT.half : MOST_SHIFT_BY_LIGHT.whole;
  // A deep tone looks darker than its level and is that level all the same (L4): what its dye takes is put back.
  const lost =
    subject.kind === 'toned' ? neutralLab(subject.level).l - toneLab(subject.level, subject.tone).l : 0;
  const shows = labOfStrand(strandOfSubject({ ...subject, white: 0 }), light).l + lost;
  return Math.abs(levelOfLightness(shows) - subject.level) <= most;
}

export interface Staging {
  /** Light it is seen in. */
  light: Light;
  /** Seed of everything random in it. */
  seed: number;
  /** Form of the hair. */
  form?: HairForm;
  /** 0 dull to 1 glossy; by the condition of the hair when left out. */
  shine?: number;
  /** Whether it hangs beside others it is compared with: then just as it is. */
  compared?: boolean;
}

/** Heads of one level and tone differ by a little that no eye tells: so much in levels, and in a* and b*. */
const HEADS_DIFFER = { levels: 0.06, ab: 0.4 };

/** A lock as it hangs on one head of many, its white strands as they are. */
function ofOneHead(look: TressLook, seed: number): TressLook {
  const random = seededRandom(seed);
  const [levels, a, b] = [HEADS_DIFFER.levels, HEADS_DIFFER.ab, HEADS_DIFFER.ab].map(
    (most) => (2 * random() - 1) * most,
  );
  const zones = look.zones.map((zone) => {
    const { colour } = zone;
    const l = lightnessOfLevel(levelOfLightness(colour.l) + levels);
    return { ...zone, colour: { l, a: colour.a + a, b: colour.b + b } };
  });
  return { ...look, zones };
}

/** How the hair of a subject looks in a light: of one head, by its seed. */
export function lookOfSubject(
  subject: Subject,
  { light, seed, form = 'straight', shine, compared = false }: Staging,
): TressLook {
  const strand = strandOfSubject(subject);
  const plain = strandLook([{ from: 0, to: 1, strand }], light, form, seed);
  const look = compared ? plain : ofOneHead(plain, seed);
  return shine === undefined ? look : { ...look, shine };
}
