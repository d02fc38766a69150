import { SHIPPED_LINES, shippedLine } from '@cimbel/core/product';
import { draftOf, draftProblems, FRESH, lineOfDraft } from './draft';

describe('a line while it is entered', () => {
  it.each(SHIPPED_LINES.map((line) => [line.name, line] as const))(
    '%s goes into the form and out the same',
    (_, line) => {
      const back = lineOfDraft(draftOf(line));
      expect({ ...back, id: line.id, version: line.version, mayHeat: back.mayHeat }).toEqual({
        ...line,
        mayHeat: line.mayHeat ?? false,
      });
      expect(draftProblems(draftOf(line))).toEqual([]);
    },
  );

  it('says what is missing, by place', () => {
    const paths = (draft: typeof FRESH) => draftProblems(draft).map(({ path, code }) => `${path} ${code}`);
    expect(paths(FRESH)).toEqual(['name field.too_small', 'shades line.noShades']);
    const tarnwick = draftOf(shippedLine('tarnwick')!);
    expect(paths({ ...tarnwick, developers: '10, twenty' })).toEqual(['developersVol.1 field.invalid_type']);
    expect(paths({ ...tarnwick, signOf: { ...tarnwick.signOf, warmBrown: '7' } })).toContain(
      'key.signs.7 line.signTwice',
    );
    expect(paths({ ...tarnwick, labels: ['5:0', '5:x'] })).toEqual(['shades.1 label.unknownSign']);
    expect(paths({ ...tarnwick, standard: null })).toContain('minutes.standard field.too_small');
  });

  it('takes ratios as they are printed, and a key without a separator', () => {
    const tarnwick = draftOf(shippedLine('tarnwick')!);
    for (const ratios of ['1:1.5, 1:2', '1 : 1.5; 2', '1.5 1:2'])
      expect(lineOfDraft({ ...tarnwick, ratios }).ratios).toEqual([1.5, 2]);
    const bare = { ...tarnwick, separator: '', labels: ['50', '67', '120'] };
    expect(draftProblems(bare)).toEqual([]);
    expect(draftProblems({ ...bare, labels: ['5'] }).map(({ code }) => code)).toEqual(['label.noParts']);
  });
});
