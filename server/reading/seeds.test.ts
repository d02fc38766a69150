import { seedsBy } from './sitting-store';

describe('seeds of a sitting', () => {
  const seedOf = seedsBy('a secret', 'student 1');

  it('are the same each time, and others for another student, another sitting and another secret', () => {
    expect(seedOf('3')).toBe(seedsBy('a secret', 'student 1')('3'));
    const others = [seedsBy('a secret', 'student 2'), seedsBy('another', 'student 1')].map((by) => by('3'));
    expect(new Set([seedOf('3'), ...others]).size).toBe(3);
  });

  it('are whole numbers of 32 bits that spread', () => {
    const many = Array.from({ length: 500 }, (_, i) => seedOf(String(i)));
    expect(many.every((seed) => Number.isInteger(seed) && seed >= 0 && seed < 2 ** 32)).toBe(true);
    expect(new Set(many).size).toBe(500);
    const high = many.filter((seed) => seed >= 2 ** 31).length;
    expect(high).toBeGreaterThan(180);
    expect(high).toBeLessThan(320);
  });
});
