import { chromaOf, differenceOf, hueOf, labOf, labOfRgb, spectrum, toneLab } from '../colour';
import {
  labOfStrand,
  levelOfStrand,
  lightenedStrand,
  naturalStrand,
  reflectanceOf,
  NO_DYE,
  naturalPigment,
} from '../hair';
import { after, permanent, powder, toner } from '../testing/bowls';
import { playHead, zoneAt } from '.';

/** The behaviour that must hold, row by row; the ids are those of the table in the engine's specification. */
const level = levelOfStrand;
const chroma = (strand: Parameters<typeof labOfStrand>[0]) => chromaOf(labOfStrand(strand));
const rows = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => from + i);

describe('behaviour of hair', () => {
  it('H2: lightening from 2, hue rises with every level reached and lies where it has to', () => {
    const hues = rows(4, 10).map((n) => hueOf(labOfStrand(lightenedStrand(n, 2))));
    hues.slice(1).forEach((hue, i) => expect(hue).toBeGreaterThan(hues[i]));
    const at = (n: number) => hues[n - 4];
    expect(at(4) >= 25 && at(4) <= 42).toBe(true);
    expect(at(6) >= 45 && at(6) <= 60).toBe(true);
    expect(at(8) >= 66 && at(8) <= 82).toBe(true);
    expect(at(10) >= 84 && at(10) <= 98).toBe(true);
  });

  it('H3: permanent colour with a clear shade lifts a natural 5 by its strength', () => {
    const lift = (vol: number) => level(after(permanent('clear', vol), naturalStrand(5), 35)) - 5;
    const [ten, twenty, thirty, forty] = [10, 20, 30, 40].map(lift);
    expect(ten).toBeLessThanOrEqual(0.4);
    expect(twenty >= 0.8 && twenty <= 2).toBe(true);
    expect(thirty >= 1.8 && thirty <= 3).toBe(true);
    expect(forty >= 2.7 && forty <= 4).toBe(true);
    expect(ten < twenty && twenty < thirty && thirty < forty).toBe(true);
  });

  it('H4: colour does not lift colour', () => {
    const dyed = after(permanent('4:0', 10), naturalStrand(5), 35);
    expect(level(dyed)).toBeCloseTo(4, 0);
    expect(level(after(permanent('8:0', 40), dyed, 35)) - level(dyed)).toBeLessThan(0.3);
  });

  it('H5: strong powder with 30 vol takes a natural 4 to pale, then has dried out', () => {
    const at = (minutes: number) => level(after(powder(30), naturalStrand(4), minutes));
    expect(at(45) >= 8.5 && at(45) <= 10).toBe(true);
    expect(at(90) - at(60)).toBeLessThan(0.15);
  });

  it('H6: 40 vol leads early, hardly late, and costs more', () => {
    const [thirty, forty] = [30, 40].map(
      (vol) => (minutes: number) => after(powder(vol), naturalStrand(4), minutes),
    );
    expect(level(forty(10))).toBeGreaterThan(level(thirty(10)) + 0.3);
    expect(level(forty(50)) - level(thirty(50))).toBeLessThanOrEqual(0.7);
    expect(forty(50).damage / thirty(50).damage).toBeGreaterThanOrEqual(1.4);
  });

  it('H7: the right toner at the level of the hair neutralises yellow without darkening it', () => {
    const yellow = lightenedStrand(9);
    const toned = after(toner('9-U'), yellow, 20);
    expect(chroma(toned)).toBeLessThanOrEqual(0.4 * chroma(yellow));
    expect(labOfStrand(yellow).l - labOfStrand(toned).l).toBeLessThan(4);
  });

  it('H8: the same toner two levels lighter than orange hair does next to nothing', () => {
    const orange = lightenedStrand(7);
    expect(chroma(after(toner('9-U'), orange, 20))).toBeGreaterThan(0.75 * chroma(orange));
  });

  it('H9: ash grabs on porous ends', () => {
    const mids = lightenedStrand(8);
    const ends = { ...mids, porosity: 0.85 };
    const [mid, end] = [mids, ends].map((strand) => after(toner('7-S'), strand, 20));
    expect(level(mid) - level(end)).toBeGreaterThanOrEqual(0.7);
    expect(labOfStrand(mid).b - labOfStrand(end).b).toBeGreaterThanOrEqual(4);
  });

  it('H10: hair never coloured: roots first race ahead, mids first come out even', () => {
    const root = naturalStrand(4, { fromScalpCm: 1 });
    const mid = naturalStrand(4, { fromScalpCm: 10 });
    const finish = (strand: typeof root, at: number) =>
      labOfStrand(
        zoneAt(
          {
            start: strand,
            events: [
              { at, do: 'apply', mix: powder(20) },
              { at: 40, do: 'rinse' },
            ],
          },
          60,
        ).strand,
      ).l;
    expect(finish(root, 0) - finish(mid, 15)).toBeGreaterThanOrEqual(5);
    expect(Math.abs(finish(root, 15) - finish(mid, 0))).toBeLessThanOrEqual(3);
  });

  it('H11: a fashion shade alone stays see-through on white, half natural series covers', () => {
    const grey = naturalStrand(6, { white: 0.8 });
    const target = toneLab(6, { primary: 'gold' });
    const off = (words: string) => differenceOf(labOfStrand(after(permanent(words, 20), grey, 45)), target);
    expect(off('6:1')).toBeGreaterThan(8);
    expect(off('6:1 6:0')).toBeLessThan(5);
  });

  it('H12: colour over its own colour is deeper', () => {
    const once = after(permanent('5:0', 20), naturalStrand(5), 35);
    expect(level(once) - level(after(permanent('5:0', 20), once, 35))).toBeGreaterThanOrEqual(0.6);
  });

  it('H13: 20 vol again on a warm, just lifted root makes it lighter and warmer; a deposit cures it', () => {
    const warm = after(permanent('clear', 30), naturalStrand(4), 35);
    const again = after(permanent('8:0', 20), warm, 35);
    expect(labOfStrand(again).l).toBeGreaterThan(labOfStrand(warm).l + 2);
    expect(labOfStrand(again).b).toBeGreaterThan(labOfStrand(warm).b);
    const cured = after(toner('7-L'), warm, 20);
    expect(chroma(cured)).toBeLessThan(0.6 * chroma(warm));
  });

  it('H14: more counter-tone crosses neutral once, then shows itself', () => {
    const orange = lightenedStrand(7);
    const leftover = rows(0, 24).map((parts) => {
      const words = parts === 0 ? '7-L*24' : parts === 24 ? '7-S*24' : `7-L*${24 - parts} 7-S*${parts}`;
      return labOfStrand(after(toner(words), orange, 20)).b - toneLab(7, { primary: 'ash' }).b;
    });
    leftover.slice(1).forEach((b, i) => expect(b).toBeLessThan(leftover[i]));
    const strong = labOfStrand(after(toner('7-SI*1'), { ...orange, porosity: 0.85 }, 20));
    expect(strong.b).toBeLessThan(0);
  });

  it('H15: a pair that matches in daylight and parts under a lamp', () => {
    const strand = naturalStrand(6);
    expect(differenceOf(labOfStrand(strand, 'daylight'), labOfStrand(strand, 'warmLamp'))).toBeGreaterThan(1);
    const natural = reflectanceOf(naturalPigment(6));
    // The same daylight colour out of dyes alone.
    const wanted = labOf(natural);
    const names = ['directBlue', 'directPink', 'directYellow'] as const;
    let dye = { ...NO_DYE, directBlue: 1, directPink: 1, directYellow: 1 };
    const off = (d: typeof dye) => differenceOf(labOf(reflectanceOf(naturalPigment(14), d)), wanted);
    for (let step = 0.8; step > 1e-4; step *= 0.7) {
      for (let round = 0; round < 12; round++) {
        for (const name of names) {
          for (const by of [step, -step]) {
            const next = { ...dye, [name]: Math.max(0, dye[name] + by) };
            if (off(next) < off(dye)) dye = next;
          }
        }
      }
    }
    const dyed = reflectanceOf(naturalPigment(14), dye);
    expect(differenceOf(labOf(dyed), wanted)).toBeLessThan(1);
    const apart = (['warmLamp', 'coolWhite'] as const).map((light) =>
      differenceOf(labOf(dyed, light), labOf(natural, light)),
    );
    expect(Math.max(...apart)).toBeGreaterThan(3);
    expect(labOf(spectrum(() => 0.2)).l).toBeCloseTo(labOfRgb({ r: 0.4845, g: 0.4845, b: 0.4845 }).l, 0);
  });
});

it('a bond additive lessens damage, adds no lift and takes longer (F12)', () => {
  const plain = after(powder(30), naturalStrand(4), 20);
  const guarded = after({ ...powder(30), bondAdditive: true }, naturalStrand(4), 20);
  expect(guarded.damage).toBeLessThan(0.7 * plain.damage);
  expect(levelOfStrand(guarded)).toBeLessThan(levelOfStrand(plain));
});

describe('shipped exercises, played through the model', () => {
  const land = (
    mix: Parameters<typeof after>[0],
    strand: ReturnType<typeof naturalStrand>,
    minutes: number,
  ) => labOfStrand(after(mix, strand, minutes));
  const greyHead = naturalStrand(5, { white: 0.5 });
  const gold5 = toneLab(5, { primary: 'gold' });
  const brown = naturalStrand(5);
  const ash7 = toneLab(7, { primary: 'ash' });
  const porous = naturalStrand(8, { porosity: 'high', diameter: 'fine' });

  it('land at their targets with the key', () => {
    expect(differenceOf(land(permanent('5:0 5:1', 20), greyHead, 45), gold5)).toBeLessThan(5);
    expect(differenceOf(land(permanent('7:7', 30), brown, 35), ash7)).toBeLessThan(5);
    expect(differenceOf(land(toner('6-O 7-O'), porous, 20), toneLab(6, { primary: 'beige' }))).toBeLessThan(
      5,
    );
  });

  it('land visibly elsewhere, in the expected direction, with each kind of wrong answer', () => {
    const right = land(permanent('7:7', 30), brown, 35);
    const wrong = {
      tooDeep: land(permanent('5:7', 30), brown, 35),
      warmSide: land(permanent('7:2', 30), brown, 35),
      weak: land(permanent('7:7', 10), brown, 35),
      rinsedEarly: land(permanent('7:7', 30), brown, 12),
      noNatural: land(permanent('5:1', 20), greyHead, 45),
    };
    expect(wrong.tooDeep.l).toBeLessThan(right.l - 6);
    expect(wrong.warmSide.a).toBeGreaterThan(right.a + 10);
    expect(wrong.weak.l).toBeLessThan(right.l - 6);
    expect(wrong.rinsedEarly.b).toBeGreaterThan(right.b + 5);
    expect(wrong.noNatural.l).toBeGreaterThan(gold5.l + 8);
  });

  it('a whole head is played minute by minute, every zone by its own plan', () => {
    const head = playHead(
      [
        { start: naturalStrand(4, { fromScalpCm: 1 }), events: [{ at: 15, do: 'apply', mix: powder(20) }] },
        {
          start: naturalStrand(4),
          events: [
            { at: 0, do: 'apply', mix: powder(20) },
            { at: 20, do: 'heat', on: true },
          ],
        },
      ],
      40,
    );
    expect(head).toHaveLength(41);
    expect(head[10][0].lying).toBeNull();
    expect(head[20][1].lying).toMatchObject({ minutes: 20 });
    expect(level(head[40][1].strand)).toBeGreaterThan(level(head[20][1].strand));
  });
});
