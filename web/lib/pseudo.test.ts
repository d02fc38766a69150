import { pseudoText, pseudoWords } from './pseudo';

describe('the pseudo-language', () => {
  it('keeps what is put in, and makes all else longer and other', () => {
    const name = pseudoText('Level {{level, level}} of {{name}}');
    expect(name).toMatch(/^⟦Ĺéṽéĺ \{\{level, level\}\} óƒ \{\{name\}\}.*⟧$/);
    expect(pseudoText('Save').length).toBeGreaterThan('Save'.length * 1.35);
    expect(pseudoText('')).toBe('');
  });
  it('goes through a whole file, lists with it', () => {
    expect(pseudoWords({ a: { b: 'Hi' }, c: ['x'] })).toEqual({
      a: { b: pseudoText('Hi') },
      c: [pseudoText('x')],
    });
  });
});
