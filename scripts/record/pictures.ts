import { LIGHTS, TONE_FAMILIES } from '../../core/colour';
import { AREAS, lightenedStrand, naturalStrand, HAIR_FORMS, type HairForm } from '../../core/hair';
import {
  COATINGS,
  DRAWING_NOW,
  naturalLook,
  paintHead,
  paintTress,
  strandLook,
  toneLook,
  type HeadLook,
  type TressLook,
  type TressPixels,
} from '../../core/draw';
import { VIEWS, headOf } from '../../web/features/head/sheet-views';
import { digest, type Section } from './section';

const LOCK = { width: 90, height: 180 };
const HEAD = { width: 160, height: 200 };

const natural = (level: number, greyShare = 0): TressLook =>
  naturalLook({ naturalLevel: level, greyShare, porosity: 'normal', diameter: 'medium' }, 40 + level);
const swatches = (name: string, looks: readonly TressLook[]): [string, () => TressPixels][] =>
  looks.map((look, i) => [`${name} ${i + 1}`, () => paintTress(look, LOCK)]);

const headLook = (level: number, form: HairForm): HeadLook => {
  const all = { ...natural(level).zones[0], form, density: 'medium' as const };
  return Object.fromEntries(
    AREAS.map((area) => [area, area === 'hairline' ? { ...all, greyShare: 0.5 } : all]),
  );
};

/** Sixty pictures: natural hair by level, lights, tones, grey, forms, wear, coatings, heads from every side. */
function pictures(): [string, () => TressPixels][] {
  const worn: Partial<TressLook>[] = [
    { frizz: 1 },
    { split: 0.5 },
    { broken: 0.45 },
    { limp: 1 },
    { wet: true },
  ];
  const half = (look: TressLook, at: number): TressLook => ({
    ...look,
    zones: [
      { ...look.zones[0], to: 0.6, under: COATINGS[at] },
      { ...look.zones[0], from: 0.6 },
    ],
  });
  return [
    ...swatches(
      'natural level',
      Array.from({ length: 10 }, (_, i) => natural(i + 1)),
    ),
    ...swatches(
      'lightened level',
      Array.from({ length: 7 }, (_, i) =>
        strandLook([{ from: 0, to: 1, strand: lightenedStrand(i + 4) }], 'daylight', 'straight', 40 + i),
      ),
    ),
    ...swatches(
      'light',
      LIGHTS.map((light) => strandLook([{ from: 0, to: 1, strand: naturalStrand(6) }], light, 'wavy', 6)),
    ),
    ...swatches(
      'tone',
      TONE_FAMILIES.map((primary, i) => toneLook(7, { primary }, 60 + i)),
    ),
    ...swatches(
      'grey quarters',
      [0.25, 0.5, 0.75, 1].map((share) => natural(5, share)),
    ),
    ...swatches(
      'form',
      HAIR_FORMS.map((form) => ({ ...natural(5), form })),
    ),
    ...swatches(
      'wear',
      worn.map((wear) => ({ ...natural(6), form: 'curly' as const, ...wear })),
    ),
    ...swatches(
      'shine',
      [0.1, 1].map((shine) => ({ ...natural(3), shine })),
    ),
    ...swatches(
      'coating',
      COATINGS.map((_, i) => half(natural(6), i)),
    ),
    ...VIEWS.flatMap((view, v) =>
      [4, 8].map((level, i): [string, () => TressPixels] => [
        `head ${v + 1} level ${level}`,
        () => paintHead(headOf(view), headLook(level, HAIR_FORMS[(v + i) % HAIR_FORMS.length]), HEAD),
      ]),
    ),
  ];
}

/** The pixels of sixty pictures, each by its digest. */
export const recordPictures = (): Section => ({
  name: 'pictures',
  version: `drawing ${DRAWING_NOW}`,
  lines: pictures().map(([name, paint]) => `${name} | ${digest(paint().data)}`),
});
