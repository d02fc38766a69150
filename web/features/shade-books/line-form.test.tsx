import { SHIPPED_LINES, shippedLine, type Line } from '@cimbel/core/product';
import { fieldsOf, textOf } from '../../testing/render';
import { draftOf, draftProblems, lineOfDraft, type LineDraft } from './draft';
import { LineForm } from './line-form';
import { LineView } from './line-view';

const form = (draft: LineDraft) => (
  <LineForm
    draft={draft}
    line={lineOfDraft(draft)}
    problems={draftProblems(draft)}
    onChange={() => undefined}
  />
);
const tarnwick = draftOf(shippedLine('tarnwick')!);
const UNWORDED = /undefined|NaN|\{\{|\}\}|\[object|\bnull\b/;

describe('the form of a line', () => {
  it.each(SHIPPED_LINES.map((line) => [line.name, line] as const))(
    '%s is shown whole and in words',
    (_, line) => {
      const text = textOf(form(draftOf(line)));
      expect(text).not.toMatch(UNWORDED);
      expect(textOf(<LineView line={line} />)).not.toMatch(UNWORDED);
    },
  );

  it('asks a powder how the hair comes to it, and nothing else', () => {
    const asks = (id: string) => textOf(form(draftOf(shippedLine(id)!))).includes('Hair preparation');
    expect(
      SHIPPED_LINES.filter(({ id }) => asks(id))
        .map(({ kind }) => kind)
        .sort(),
    ).toEqual(['lightenerGentle', 'lightenerStrong']);
  });

  it('asks what covers grey for the maker’s table, row by row, in per cent', () => {
    const rows = [
      { from: 0.25, natural: 0.3 },
      { from: 0.6, natural: 0.75 },
    ];
    expect(fieldsOf(form({ ...tarnwick, greyShares: rows }))).toMatchObject({
      'Grey from, row 1': '25',
      'Base shade, row 1': '30',
      'Grey from, row 2': '60',
      'Base shade, row 2': '75',
    });
    expect(textOf(form(tarnwick))).toContain('Add a grey share');
    expect(textOf(form(draftOf(shippedLine('calder')!)))).not.toContain('Add a grey share');
  });

  it('says which row of the table is wrong, where it stands', () => {
    const draft: LineDraft = {
      ...tarnwick,
      greyShares: [
        { from: 0.5, natural: 0.5 },
        { from: 0.5, natural: 0.75 },
      ],
    };
    expect(draftProblems(draft)).toMatchObject([{ code: 'line.greySharesRise', path: 'greyShares.1.from' }]);
    expect(textOf(form(draft))).toContain('Each row begins at more grey than the one above.');
  });

  it('has directions for high-lift where the line has such shades, and keeps them', () => {
    expect(fieldsOf(form(tarnwick))['High-lift time']).toBe(
      String(shippedLine('tarnwick')!.highLift!.minutes),
    );
    const longer = lineOfDraft({ ...tarnwick, highLiftMinutes: 55, highLiftRatios: '2, 2.5' });
    expect(longer.highLift).toEqual({ ratios: [2, 2.5], minutes: 55 });
    expect(lineOfDraft({ ...tarnwick, highLiftFrom: null }).highLift).toBeUndefined();
    expect(fieldsOf(form({ ...tarnwick, highLiftFrom: null }))).not.toHaveProperty('High-lift time');
    expect(draftProblems({ ...tarnwick, highLiftRatios: 'two' }).map(({ path }) => path)).toContain(
      'highLift.ratios.0',
    );
  });

  it('leaves out what its kind has no use for, though it was entered before', () => {
    const draft: LineDraft = { ...tarnwick, preWash: 'washed', greyShares: [{ from: 0.3, natural: 0.5 }] };
    expect(lineOfDraft(draft)).not.toHaveProperty('preWash');
    expect(lineOfDraft(draft).greyShares).toHaveLength(1);
    const powder = lineOfDraft({ ...draft, kind: 'lightenerStrong' });
    expect(powder.preWash).toBe('washed');
    expect(powder).not.toHaveProperty('greyShares');
  });
});

describe('a line as it is read', () => {
  const said = (change: Partial<Line>) =>
    textOf(<LineView line={{ ...shippedLine('tarnwick')!, ...change }} />);
  it('says its own table over grey and its high-lift directions', () => {
    expect(said({ greyShares: [{ from: 0.25, natural: 0.5 }] })).toContain('from 25%: 50%');
    expect(said({})).not.toContain('Base-shade ratio for grey coverage');
    expect(said({})).toContain('High-lift shades');
    expect(said({ highLift: undefined })).not.toContain('High-lift shades');
    expect(textOf(<LineView line={shippedLine('wrenfell')!} />)).toContain('washed and dried');
  });
});
