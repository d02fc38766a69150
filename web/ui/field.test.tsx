import { renderToStaticMarkup } from 'react-dom/server';
import { Field, Input, NumberInput, Select, Textarea } from './field';

/** Value of an attribute of the first element of a kind. */
const attribute = (html: string, element: string, name: string): string | undefined =>
  new RegExp(`<${element}\\b[^>]*\\s${name}="([^"]*)"`).exec(html)?.[1];

describe('a field', () => {
  const controls = {
    input: <Input />,
    textarea: <Textarea />,
    select: <Select />,
  };
  for (const [element, control] of Object.entries(controls))
    it(`ties its label, its hint and its error to the ${element} in it`, () => {
      const html = renderToStaticMarkup(
        <Field label="Title" hint="At most a line." error="Enter a title.">
          {control}
        </Field>,
      );
      const id = attribute(html, element, 'id');
      expect(id).toBeTruthy();
      expect(attribute(html, 'label', 'for')).toBe(id);
      const about = attribute(html, element, 'aria-describedby')!.split(' ');
      expect(about).toHaveLength(2);
      for (const [i, text] of ['At most a line.', 'Enter a title.'].entries())
        expect(html).toMatch(new RegExp(`<p id="${about[i]}"[^>]*>${text}</p>`));
    });

  it('says nothing about what is not there', () => {
    const html = renderToStaticMarkup(
      <Field label="Title" error={null}>
        <Input />
      </Field>,
    );
    expect(html).not.toContain('aria-describedby');
    expect(html).not.toContain('role="alert"');
  });

  it('keeps two fields apart, and leaves alone what has a name of its own', () => {
    const html = renderToStaticMarkup(
      <>
        <Field label="One">
          <Input />
        </Field>
        <Field label="Another">
          <Select />
          <NumberInput aria-label="Grams" value={3} onValue={() => undefined} />
        </Field>
      </>,
    );
    const ids = [...html.matchAll(/ id="([^"]*)"/g)].map(([, id]) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).toHaveLength(2);
    const own = /<input[^>]*aria-label="Grams"[^>]*>/.exec(html)![0];
    expect(own).not.toMatch(/ id=| aria-describedby=/);
  });

  it('is tied to nothing where there is none', () => {
    expect(renderToStaticMarkup(<Input name="alone" />)).not.toContain(' id=');
  });
});
