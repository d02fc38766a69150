import fc from 'fast-check';
import { registerSchema } from './accounts';
import { isCommonPassword } from './password';
import { oneLine } from './text';

describe('a password', () => {
  it.each([
    'password123',
    'Qwertyuiop',
    '0123456789',
    '9876543210',
    'aaaaaaaaaaaa',
    'abababababab',
    'Welcome1234',
  ])('is not %s, which everybody tries', (password) => {
    expect(isCommonPassword(password)).toBe(true);
    const read = registerSchema.safeParse({
      role: 'student',
      name: 'Noor Havel',
      email: 'noor@example.test',
      password,
    });
    expect(read.error?.issues[0].path).toEqual(['password']);
  });

  it('may be words of one’s own', () => {
    for (const password of ['long enough for a test', 'grey-room-practice', 'ten chars!', 'пароль мой свой'])
      expect(isCommonPassword(password)).toBe(false);
  });
});

describe('a name', () => {
  const name = oneLine(80);
  it('has no signs that turn the line round or are not seen', () => {
    for (const sign of ['\u202e', '\u2066', '\u200b', '\u200f', '\ufeff', '\u00ad', '\u2060'])
      expect(name.safeParse(`Noor${sign}Havel`).success).toBe(false);
    // Joiners are part of how names are spelled.
    for (const spelled of ['نیلوفر\u200cجان', 'क्\u200dष', 'Zoë O’Hara-Lindqvist', '李 小龙'])
      expect(name.safeParse(spelled).success).toBe(true);
  });
  it('is any letters there are', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^\p{L}{1,40}$/u), (letters) => {
        expect(name.safeParse(letters).success).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});
