/**
 * Contact sheets of drawn hair, to be looked at closely and at arm's length: `npm run sheets [folder]`. Each is a picture of
 * rows of locks on the grey of the room.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PNG } from 'pngjs';
import { LIGHTS, TONE_FAMILIES } from '../../core/colour';
import {
  AREAS,
  lightenedStrand,
  naturalStrand,
  type Density,
  HAIR_FORMS,
  type HairForm,
} from '../../core/hair';
import {
  COATINGS,
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

const folder = process.argv[2] ?? 'contact-sheets';
const GAP = 10;
/** The grey of the room: sRGB 119. */
const ROOM = 119;

function drawSheet(name: string, rows: readonly (readonly TressPixels[])[]): void {
  const columns = Math.max(...rows.map((row) => row.length));
  const { width, height } = rows[0][0];
  const sheet = new PNG({
    width: columns * (width + GAP) + GAP,
    height: rows.length * (height + GAP) + GAP,
  });
  for (let i = 0; i < sheet.data.length; i++) sheet.data[i] = i % 4 === 3 ? 255 : ROOM;
  rows.forEach((row, down) =>
    row.forEach(({ data }, across) => {
      const [left, top] = [GAP + across * (width + GAP), GAP + down * (height + GAP)];
      for (let i = 0; i < width * height; i++) {
        const at = 4 * ((top + Math.floor(i / width)) * sheet.width + left + (i % width));
        const cover = data[4 * i + 3] / 255;
        for (let c = 0; c < 3; c++)
          sheet.data[at + c] = Math.round(sheet.data[at + c] * (1 - cover) + data[4 * i + c] * cover);
      }
    }),
  );
  writeFileSync(join(folder, `${name}.png`), PNG.sync.write(sheet));
  console.log(`${name}: ${rows.length} × ${columns}`);
}

const drawLocks = (
  name: string,
  rows: readonly (readonly TressLook[])[],
  width: number,
  height: number,
): void =>
  drawSheet(
    name,
    rows.map((row) => row.map((look) => paintTress(look, { width, height }))),
  );

const levels = Array.from({ length: 10 }, (_, i) => i + 1);
const natural = (level: number, greyShare = 0): TressLook =>
  naturalLook({ naturalLevel: level, greyShare, porosity: 'normal', diameter: 'medium' }, 40 + level);
const lightened = (level: number): TressLook =>
  strandLook([{ from: 0, to: 1, strand: lightenedStrand(level) }], 'daylight', 'straight', 40 + level);
const half = (look: TressLook, under: (typeof COATINGS)[number]): TressLook => ({
  ...look,
  zones: [
    { ...look.zones[0], to: 0.6, under },
    { ...look.zones[0], from: 0.6 },
  ],
});

mkdirSync(folder, { recursive: true });
drawLocks('levels', [levels.map((level) => natural(level)), levels.map(lightened)], 110, 260);
drawLocks(
  'tones',
  [5, 7, 9].map((level) => TONE_FAMILIES.map((primary, i) => toneLook(level, { primary }, 60 + i))),
  96,
  220,
);
drawLocks(
  'grey',
  [3, 5, 7].map((level) => Array.from({ length: 11 }, (_, tenth) => natural(level, tenth / 10))),
  110,
  250,
);
drawLocks(
  'forms',
  [2, 5, 8].map((level) => HAIR_FORMS.map((form) => ({ ...natural(level), form }))),
  220,
  250,
);
const worn: Partial<TressLook>[] = [
  {},
  { frizz: 1 },
  { split: 0.5 },
  { broken: 0.45 },
  { limp: 1 },
  { wet: true },
];
drawLocks(
  'conditions',
  (['straight', 'curly'] as const).map((form) => worn.map((wear) => ({ ...natural(6), form, ...wear }))),
  190,
  320,
);
drawLocks(
  'coatings',
  [
    COATINGS.map((coating) => half(natural(6), coating)),
    COATINGS.map((coating, i) => half({ ...natural(8), form: HAIR_FORMS[i] }, coating)),
  ],
  190,
  320,
);
drawLocks(
  'lights',
  LIGHTS.map((light) =>
    [4, 6, 8].flatMap((level) => [
      strandLook([{ from: 0, to: 1, strand: naturalStrand(level) }], light, 'straight', level),
      strandLook([{ from: 0, to: 1, strand: lightenedStrand(level + 1) }], light, 'wavy', level),
    ]),
  ),
  150,
  250,
);

/** A head whose hair is alike all over but for its front, which is half white. */
const head = (level: number, form: HairForm, density: Density): HeadLook => {
  const { zones } = natural(level);
  const all = { ...zones[0], form, density };
  return Object.fromEntries(
    AREAS.map((area) => [area, area === 'hairline' || area === 'temples' ? { ...all, greyShare: 0.5 } : all]),
  );
};
const HEAD_SIZE = { width: 320, height: 400 };
drawSheet('heads', [
  VIEWS.map((view) => paintHead(headOf(view), head(5, 'straight', 'dense'), HEAD_SIZE)),
  VIEWS.map((view, i) => paintHead(headOf(view), head(3, HAIR_FORMS[i + 1], 'dense'), HEAD_SIZE)),
  VIEWS.map((view, i) =>
    paintHead(headOf(view), head(7, HAIR_FORMS[i], i < 2 ? 'sparse' : 'medium'), HEAD_SIZE),
  ),
]);
