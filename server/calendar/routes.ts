import type { Account } from '@cimbel/contract';
import { openAccount } from '../accounts/store';
import { seenClass } from '../classes/access';
import { isFromHere, route, type Call, type Route } from '../http/route';
import { calendarOf } from './feed';
import { endLink, linkBySecret, linkOf, makeLink, type CalendarLinkRow } from './links';

const ofClass = ({ id }: { id: string }, me: Account) => ({ account_id: me.id, class_id: id });
const ofStudent = (me: Account) => ({ account_id: me.id, class_id: null });

interface OpenCalendar {
  link: CalendarLinkRow;
  /** What the calendar is called. */
  name: string;
}

/** What a calendar link opens, for as long as its owner still leads the class or has a place in one; nothing after that. */
async function openCalendar(call: Call): Promise<OpenCalendar | null> {
  const { db, param, demo, req } = call;
  const link = await linkBySecret(db, param('secret'));
  const owner = link && (await openAccount(db, link.account_id, demo && isFromHere(req)));
  if (!link || !owner) return null;
  if (link.class_id === null) {
    const place = await db('members').where({ student_id: owner.id }).first('class_id');
    return place ? { link, name: 'Cimbel' } : null;
  }
  const led = await db('leaders')
    .join('classes', 'classes.id', 'leaders.class_id')
    .where({ 'leaders.class_id': link.class_id, 'leaders.educator_id': owner.id })
    .first('classes.name');
  return led ? { link, name: led.name } : null;
}

export const calendarRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/calendar-link',
    who: 'student',
    handle: ({ db, me }) => linkOf(db, ofStudent(me)),
  }),
  route({
    method: 'put',
    path: '/api/calendar-link',
    who: 'student',
    handle: ({ db, me, now }) => makeLink(db, ofStudent(me), now()),
  }),
  route({
    method: 'delete',
    path: '/api/calendar-link',
    who: 'student',
    handle: ({ db, me }) => endLink(db, ofStudent(me)),
  }),
  route({
    method: 'get',
    path: '/api/classes/:classId/calendar-link',
    who: 'educator',
    reach: seenClass,
    handle: ({ db, me, reached }) => linkOf(db, ofClass(reached, me)),
  }),
  route({
    method: 'put',
    path: '/api/classes/:classId/calendar-link',
    who: 'educator',
    reach: seenClass,
    handle: ({ db, me, now, reached }) => makeLink(db, ofClass(reached, me), now()),
  }),
  route({
    method: 'delete',
    path: '/api/classes/:classId/calendar-link',
    who: 'educator',
    reach: seenClass,
    handle: ({ db, me, reached }) => endLink(db, ofClass(reached, me)),
  }),
  // Fetched by calendars, which sign in nowhere: the secret in the address is all they have.
  route({
    method: 'get',
    path: '/api/calendar/:secret',
    who: 'anyone',
    reach: openCalendar,
    handle: async ({ db, now, reached, req, res }) => {
      const address = `${req.protocol}://${req.get('host') ?? 'localhost'}/`;
      const text = await calendarOf(db, reached.link, { name: reached.name, address, now: now() });
      // Asked again with its ETag, it is sent only when something has changed.
      res.setHeader('Cache-Control', 'private, no-cache');
      res.type('text/calendar; charset=utf-8').send(text);
    },
  }),
];
