import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { MemoryRouter } from 'react-router';
import type { Units } from '../lib/i18n';
import { InUnits } from '../lib/units';

/** What a part of the page comes to as HTML, without a browser: for what does not need one to be true. */
export const htmlOf = (element: ReactNode, units: Units = 'grams'): string =>
  renderToStaticMarkup(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <InUnits units={units}>{element}</InUnits>
      </MemoryRouter>
    </QueryClientProvider>,
  );

const ENTITIES: Record<string, string> = {
  '&amp;': '&',
  '&lt;': '<',
  '&gt;': '>',
  '&quot;': '"',
  '&#x27;': "'",
};

/** The words of it alone, in order. */
export const textOf = (element: ReactNode, units?: Units): string =>
  htmlOf(element, units)
    .replace(/<[^>]+>/g, ' ')
    .replace(/&[a-z#0-9]+;/g, (entity) => ENTITIES[entity] ?? entity)
    .replace(/\s+/g, ' ')
    .trim();

/** Values of the fields of it, by their names. */
export const fieldsOf = (element: ReactNode, units?: Units): Record<string, string> =>
  Object.fromEntries(
    [...htmlOf(element, units).matchAll(/<input [^>]*>/g)].flatMap(([tag]) => {
      const name = /aria-label="([^"]*)"/.exec(tag)?.[1];
      return name ? [[name, /value="([^"]*)"/.exec(tag)?.[1] ?? '']] : [];
    }),
  );
