import fc from 'fast-check';
import { TONE_FAMILIES, toneVector } from '../colour';
import { shippedLine, type ShadePart, readLabel } from '../product';
import { nameTone, balanceOf } from './balance';

const line = shippedLine('tarnwick')!;
const part = (label: string, parts = 1): ShadePart => {
  const reading = readLabel(line, label);
  if (!reading.ok) throw new Error(label);
  return { shade: reading.shade, parts };
};

describe('the balance of warmth and mix', () => {
  it('is even under a neutral shade of the level reached, and warm under nothing', () => {
    expect(nameTone(balanceOf(7, [part('7:0')]).leftover)).toBeNull();
    expect(balanceOf(7, [part('7:0')]).tilt).toBeCloseTo(0);
    expect(balanceOf(6, []).tilt).toBe(1);
    expect(nameTone(balanceOf(6, []).leftover)).toMatchObject({ family: 'copper' });
  });

  it('leaves the tone of the shade at its own level, and warmth under one that is lighter (U4, F4)', () => {
    expect(nameTone(balanceOf(7, [part('7:7')]).leftover)?.family).toBe('ash');
    const tooLight = balanceOf(6, [part('9:0')]);
    expect(tooLight.tilt).toBeGreaterThan(0.4);
  });

  it('tips further to the mix with every part of the counter-tone', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 6 }), (neutral, ash) => {
        const less = balanceOf(6, [part('6:0', neutral), part('6:7', ash)]);
        const more = balanceOf(6, [part('6:0', neutral), part('6:7', ash + 1)]);
        expect(more.tilt).toBeLessThan(less.tilt);
      }),
    );
  });

  it('names every plain tone as itself', () => {
    for (const family of TONE_FAMILIES.filter((name) => name !== 'neutral')) {
      expect(nameTone(toneVector({ primary: family }))?.family).toBe(family);
    }
  });
});
