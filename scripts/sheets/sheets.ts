/**
 * Contact sheets of drawn hair, to be looked at closely and at arm's length: `npm run sheets [folder]`. Each is a picture of
 * rows of locks on the grey of the room.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PNG } from 'pngjs';
import { LIGHTS, TONE_FAMILIES } from '../../core/colour';
import { lightenedStrand, naturalStrand } from '../../core/hair';
import {
  COATINGS,
  HAIR_FORMS,
  naturalLook,
  paintTress,
  strandLook,
  toneLook,
  type TressLook,
} from '../../core/tress';

const folder = process.argv[2] ?? 'contact-sheets';
const GAP = 10;
/** The grey of the room: sRGB 119. */
const ROOM = 119;

function drawSheet(
  name: string,
  rows: readonly (readonly TressLook[])[],
  width: number,
  height: number,
): void {
  const columns = Math.max(...rows.map((row) => row.length));
  const sheet = new PNG({
    width: columns * (width + GAP) + GAP,
    height: rows.length * (height + GAP) + GAP,
  });
  for (let i = 0; i < sheet.data.length; i++) sheet.data[i] = i % 4 === 3 ? 255 : ROOM;
  rows.forEach((row, down) =>
    row.forEach((look, across) => {
      const { data } = paintTress(look, { width, height });
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
drawSheet('levels', [levels.map((level) => natural(level)), levels.map(lightened)], 110, 260);
drawSheet(
  'tones',
  [5, 7, 9].map((level) => TONE_FAMILIES.map((primary, i) => toneLook(level, { primary }, 60 + i))),
  96,
  220,
);
drawSheet(
  'grey',
  [3, 5, 7].map((level) => Array.from({ length: 11 }, (_, tenth) => natural(level, tenth / 10))),
  110,
  250,
);
drawSheet(
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
drawSheet(
  'conditions',
  (['straight', 'curly'] as const).map((form) => worn.map((wear) => ({ ...natural(6), form, ...wear }))),
  190,
  320,
);
drawSheet(
  'coatings',
  [
    COATINGS.map((coating) => half(natural(6), coating)),
    COATINGS.map((coating, i) => half({ ...natural(8), form: HAIR_FORMS[i] }, coating)),
  ],
  190,
  320,
);
drawSheet(
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
