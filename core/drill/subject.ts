import { toneLab, type Lab, type Light, type Tone } from '../colour';
import {
  lightenedStrand,
  labOfStrand,
  naturalStrand,
  strandOfColour,
  type Porosity,
  type Strand,
} from '../hair';
import { apply, strandAfter, workedMinutes, type Mix } from '../process';
import type { Shade } from '../shades';
import { strandLook, type HairForm, type TressLook } from '../tress';
import { Unfit } from './draw';

/** Hair of one zone in a few words, so that the hair of a wrong answer can be drawn as easily as that of the right one. */
export type Subject =
  | { kind: 'natural'; level: number; white: number; porosity: Porosity }
  | { kind: 'lightened'; level: number; white: number }
  /** Coloured hair of a level and tone, as a target is drawn. */
  | { kind: 'toned'; level: number; tone: Tone; white: number }
  /** Lightened hair after a low-strength colour of one shade has worked its full time. */
  | { kind: 'glossed'; level: number; shade: Shade; white: number };

const GLOSS_VOL = 7;
const GLOSS_RATIO = 2;
const GLOSS_MINUTES = 20;

/** There are few levels, tones and shades, and each strand takes some work: what was found once is kept. */
const MOST_KEPT = 4000;
const found = new Map<string, Strand | null>();
export function keptStrand(name: string, find: () => Strand | null): Strand {
  let strand = found.get(name);
  if (strand === undefined) {
    strand = find();
    if (found.size < MOST_KEPT) found.set(name, strand);
  }
  if (!strand) throw new Unfit('no hair has this colour');
  return strand;
}

function pigmented(subject: Subject): Strand {
  switch (subject.kind) {
    case 'natural':
      return naturalStrand(subject.level, { porosity: subject.porosity });
    case 'lightened':
      return lightenedStrand(subject.level);
    case 'toned': {
      const { level, tone } = subject;
      return keptStrand(`${level} ${tone.primary} ${tone.secondary ?? ''}`, () =>
        strandOfColour(toneLab(level, tone)),
      );
    }
    case 'glossed': {
      const mix: Mix = {
        product: 'demi',
        shades: [{ shade: subject.shade, parts: 1 }],
        developerVol: GLOSS_VOL,
        ratio: GLOSS_RATIO,
      };
      return keptStrand(`${subject.level} ${subject.shade.level} ${JSON.stringify(subject.shade.tone)}`, () =>
        strandAfter(apply(mix, lightenedStrand(subject.level)), workedMinutes(mix, GLOSS_MINUTES)),
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
  return subject.kind === 'toned' && light === 'daylight'
    ? toneLab(subject.level, subject.tone)
    : labOfStrand(strand, light);
}

export interface Staging {
  light: Light;
  seed: number;
  form?: HairForm;
  /** 0 dull to 1 glossy; by the condition of the hair when left out. */
  shine?: number;
}

export function lookOfSubject(
  subject: Subject,
  { light, seed, form = 'straight', shine }: Staging,
): TressLook {
  const look = strandLook([{ from: 0, to: 1, strand: strandOfSubject(subject) }], light, form, seed);
  return shine === undefined ? look : { ...look, shine };
}
