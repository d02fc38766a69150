import { shadeBookWriteSchema, type ShadeBooks } from '@cimbel/contract';
import { SHIPPED_LINES } from '@cimbel/core/product';
import { z } from 'zod';
import { route, type Call, type Route } from '../http/route';
import { bookDetail, booksOf, createBook, putAway, saveBook, type BookRow } from './store';

async function ownBook({ db, me, param }: Call): Promise<BookRow | null> {
  const row = await db('shade_books')
    .where({ id: param('bookId'), educator_id: me!.id })
    .first();
  return row ?? null;
}

export const shadeBookRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/shade-books',
    who: 'educator',
    handle: async ({ db, me }): Promise<ShadeBooks> => ({
      shipped: [...SHIPPED_LINES],
      own: await booksOf(db, me.id),
    }),
  }),
  route({
    method: 'post',
    path: '/api/shade-books',
    who: 'educator',
    body: shadeBookWriteSchema,
    handle: async ({ db, me, now, body, res }) => {
      const made = await createBook(db, me.id, body, now());
      res.status(201);
      return made;
    },
  }),
  route({
    method: 'get',
    path: '/api/shade-books/:bookId',
    who: 'educator',
    reach: ownBook,
    handle: ({ db, reached }) => bookDetail(db, reached),
  }),
  route({
    method: 'put',
    path: '/api/shade-books/:bookId',
    who: 'educator',
    reach: ownBook,
    body: shadeBookWriteSchema,
    handle: ({ db, now, reached, body }) => saveBook(db, reached, body, now()),
  }),
  route({
    method: 'patch',
    path: '/api/shade-books/:bookId',
    who: 'educator',
    reach: ownBook,
    body: z.object({ putAway: z.boolean() }),
    handle: ({ db, now, reached, body }) => putAway(db, reached, body.putAway, now()),
  }),
];
