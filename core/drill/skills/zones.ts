import { differenceOf } from '../../colour';
import { type StretchOfHair, strandLook } from '../../draw';
import { labOfStrand, type Strand, naturalStrand } from '../../hair';
import { type Mix, strandUnder } from '../../process';
import type { Shade } from '../../product';
import { reason } from '../../reason';
import { lightFor, levelsOf } from '../context';
import { term } from '../item';
import { type BySteps, type ItemRequest, at, type MadeItem, type SkillMaker } from '../maker';
import { insist } from '../random-draw';
import { strandOfSubject, keptStrand } from '../subject';

/** Levels between one zone and the next, by step. */
const LEVELS_APART: BySteps = [3, 2.5, 2, 1.5, 1];
/** A mark this near is right, and this near half right; shares of a strand of 30 cm. */
const FULL = 0.04;
const NEAR = 0.09;
/** Past the line new colour lies on old: half a centimetre is right, a centimetre half right (A1). */
const PAST = { full: 0.5 / 30, near: 1 / 30 };
const STRAND = term('fact.strand', { cm: 30 });
/** What the eye has to have to see a boundary at all. */
const LEAST_DELTA_E = 5;
const percentage = (share: number) => Math.round(share * 100) / 100;

/** The lock in a light of the scope, and how far its neighbouring zones are apart; a boundary has to be seen. */
function zoned({ draw, step, scope }: ItemRequest, stretches: StretchOfHair[]) {
  const light = lightFor(scope, step, draw.pick);
  const labs = stretches.map(({ strand }) => labOfStrand(strand, light));
  const deltaE = Math.min(...labs.slice(1).map((lab, i) => differenceOf(lab, labs[i])));
  insist(deltaE >= LEAST_DELTA_E, 'the boundary cannot be seen');
  const look = { ...strandLook(stretches, light, 'straight', draw.seed()), shine: 0.5 };
  return { light, deltaE, pictures: [{ look, caption: null }] };
}

/** Two levels of the scope, at least as far apart as the step asks: in the dark steps one level is hardly seen. */
function levelPair({ draw, step, scope }: ItemRequest): [number, number] {
  const apart = Math.min(at(LEVELS_APART, step) + draw.pick([0, 0, 0.5, 1]), scope.maxLevel - scope.minLevel);
  const low = draw.pick(levelsOf(scope).filter((level) => level + apart <= scope.maxLevel));
  return draw.chance(0.5) ? [low, low + apart] : [low + apart, low];
}
const coloured = (level: number): Strand =>
  strandOfSubject({ kind: 'toned', level, tone: { primary: 'neutral' }, white: 0 });

/** Natural growth, and the colour that is growing out below it. */
function regrowth(making: ItemRequest): MadeItem {
  const { draw } = making;
  const [grown, colour] = levelPair(making);
  const where = percentage(draw.int(12, 55) / 100);
  const [root, lengths] = [naturalStrand(grown), coloured(colour)];
  const { deltaE, ...shown } = zoned(making, [
    { from: 0, to: where, strand: root },
    { from: where, to: 1, strand: lengths },
  ]);
  return {
    ...shown,
    ask: term('zones.regrowth'),
    facts: [STRAND],
    form: { kind: 'mark', marks: [term('mark.regrowthEnds')] },
    hands: { kind: 'brush', cm: 30 },
    solution: { kind: 'mark', at: [where], full: FULL, near: NEAR, past: PAST },
    why: [reason('drill.zones.regrowth', 'A1', { root: grown, lengths: colour })],
    apart: { deltaE, levels: Math.abs(grown - colour) },
  };
}

/** A band that was coloured twice: colour on colour is darker (A1). */
function band(making: ItemRequest): MadeItem {
  const { draw } = making;
  const [inBand, rest] = levelPair(making).sort((a, b) => a - b);
  const from = percentage(draw.int(15, 50) / 100);
  const to = percentage(from + draw.int(18, 32) / 100);
  const [plain, banded] = [coloured(rest), coloured(inBand)];
  const { deltaE, ...shown } = zoned(making, [
    { from: 0, to: from, strand: plain },
    { from, to, strand: banded },
    { from: to, to: 1, strand: plain },
  ]);
  return {
    ...shown,
    ask: term('zones.band'),
    facts: [STRAND],
    form: { kind: 'mark', marks: [term('mark.bandBegins'), term('mark.bandEnds')] },
    solution: { kind: 'mark', at: [from, to], full: FULL, near: NEAR },
    why: [reason('drill.zones.band', 'A1', { rest, band: inBand })],
    apart: { deltaE, levels: Math.abs(rest - inBand) },
  };
}

/** The same colour put on root to tip at once; the porous ends took more of it (F11). */
function porous(making: ItemRequest): MadeItem {
  const { draw, step, scope } = making;
  const natural = draw.pick(levelsOf(scope, 6, 9));
  const shade: Shade = {
    label: '',
    series: 'fashion',
    level: Math.max(2, natural - (step <= 2 ? 1 : 0)),
    tone: {
      primary: draw.pick(
        step <= 3 ? (['ash', 'violet'] as const) : (['ash', 'violet', 'pearl', 'beige'] as const),
      ),
    },
  };
  const mix: Mix = { product: 'demi', shades: [{ shade, parts: 1 }], developerVol: 7, ratio: 2 };
  const [mids, ends] = (['normal', 'high'] as const).map((porosity) =>
    keptStrand(`porous ${porosity} ${natural} ${shade.level} ${shade.tone.primary}`, () =>
      strandUnder({ mix }, naturalStrand(natural, { porosity }), 20),
    ),
  );
  const where = percentage(draw.int(50, 82) / 100);
  const { deltaE, ...shown } = zoned(making, [
    { from: 0, to: where, strand: mids },
    { from: where, to: 1, strand: ends },
  ]);
  return {
    ...shown,
    ask: term('zones.porous'),
    facts: [STRAND],
    form: { kind: 'mark', marks: [term('mark.porousFrom')] },
    solution: { kind: 'mark', at: [where], full: FULL, near: NEAR },
    why: [reason('drill.zones.porous', 'C2', { tone: shade.tone.primary })],
    apart: { deltaE, levels: 0 },
  };
}

/** Skill 6: where regrowth ends, where a band lies, where ends turn porous. */
export const zones: SkillMaker = {
  facets: ({ scope }) => ['regrowth', 'band', ...(levelsOf(scope, 6, 9).length > 0 ? ['porous'] : [])],
  make: (making) =>
    making.facet === 'regrowth' ? regrowth(making) : making.facet === 'band' ? band(making) : porous(making),
};
