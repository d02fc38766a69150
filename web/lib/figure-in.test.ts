import { figureIn } from './figure-in';

describe('a figure as it is typed', () => {
  it.each([
    ['37.5', 37.5],
    ['37,5', 37.5],
    [' 20 ', 20],
    ['.5', 0.5],
    ['5.', 5],
    ['0', 0],
  ])('%j is %d', (text, value) => expect(figureIn(text)).toBe(value));

  it.each(['', ' ', 'twenty', '1e3', '-4', '3.5.1', '1 000', '999999999'])(
    '%j is not an answer yet',
    (text) => expect(figureIn(text)).toBeNull(),
  );
});
