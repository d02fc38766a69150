import {
  freezeSchema,
  gradeColumnChangeSchema,
  gradeEntryWriteSchema,
  newPracticalSchema,
  settingsWriteSchema,
  type MyTerm,
} from '@cimbel/contract';
import { houseRulesSchema } from '@cimbel/core/rules';
import type { Knex } from 'knex';
import { ownClass, seenClass, type ClassRow, type LedClass } from '../classes/access';
import { route, type Call, type Route } from '../http/route';
import {
  addPractical,
  changeColumn,
  changeSettings,
  deletePractical,
  enterMark,
  setFrozen,
  type PieceOfClass,
} from './changes';
import { gradebookCsv } from './gradebook-csv';
import type { GradeColumnRow } from './rows';
import { gradebookOf, releasedSheet } from './store';

/** What a class has of a piece, or would write down: an exercise or test that is in it, practical work that was typed in. */
async function columnOf(db: Knex, classId: string, id: string): Promise<GradeColumnRow | null> {
  const own = { id, class_id: classId };
  const known = await db('grade_columns').where(own).first();
  if (known) return known;
  const usual = { ...own, title: null, max_points: null, held_on: null, category: null, counts: true };
  if (await db('assignments').where(own).first('id')) return { ...usual, assignment_id: id, test_id: null };
  if (await db('reading_tests').where(own).first('id')) return { ...usual, assignment_id: null, test_id: id };
  return null;
}

async function pieceIn(call: Call, inClass: LedClass | null): Promise<PieceOfClass | null> {
  const column = inClass && (await columnOf(call.db, inClass.id, call.param('columnId')));
  return column && { inClass: inClass!, column };
}
const pieceOfMyClass = async (call: Call) => pieceIn(call, await ownClass(call));

/** A piece of an active student of a class that I mark. */
async function cellOfMyClass(call: Call): Promise<(PieceOfClass & { studentId: string }) | null> {
  const piece = await pieceIn(call, await seenClass(call));
  const studentId = call.param('studentId');
  const there =
    piece &&
    (await call
      .db('members')
      .where({ class_id: piece.inClass.id, student_id: studentId })
      .first('student_id'));
  return there ? { ...piece!, studentId } : null;
}

const by = ({ me, now }: Call) => ({ educatorId: me!.id, now: now() });

/** A student's own sheets, of classes that show them. */
async function myTerms(db: Knex, studentId: string, now: Date): Promise<MyTerm[]> {
  const classes: ClassRow[] = await db('classes')
    .join('members', 'members.class_id', 'classes.id')
    .join('gradebooks', 'gradebooks.class_id', 'classes.id')
    .where('members.student_id', studentId)
    .whereRaw("(settings->>'shown')::boolean")
    .orderBy('classes.created_at', 'desc')
    .select('classes.*');
  const terms: MyTerm[] = [];
  for (const row of classes) {
    const inClass = { ...row, house_rules: houseRulesSchema.parse(row.house_rules) };
    const {
      students,
      version: _version,
      rights: _rights,
      ...frame
    } = await gradebookOf(db, inClass, now, studentId);
    for (const { id: _id, name: _name, number: _number, ...sheet } of students)
      terms.push({ ...frame, ...releasedSheet(sheet) });
  }
  return terms;
}

export const gradebookRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/classes/:classId/gradebook',
    who: 'educator',
    reach: seenClass,
    handle: ({ db, now, reached }) => gradebookOf(db, reached, now()),
  }),
  route({
    method: 'get',
    path: '/api/classes/:classId/gradebook.csv',
    who: 'educator',
    reach: seenClass,
    handle: async ({ db, now, reached, res }) => {
      res
        .attachment('gradebook.csv')
        .type('text/csv')
        .send(gradebookCsv(await gradebookOf(db, reached, now())));
    },
  }),
  route({
    method: 'put',
    path: '/api/classes/:classId/gradebook/settings',
    who: 'educator',
    reach: ownClass,
    body: settingsWriteSchema,
    handle: (call) => changeSettings(call.db, call.reached, call.body, by(call)),
  }),
  route({
    method: 'put',
    path: '/api/classes/:classId/gradebook/frozen',
    who: 'educator',
    reach: ownClass,
    body: freezeSchema,
    handle: (call) => setFrozen(call.db, call.reached, call.body.frozen, by(call)),
  }),
  route({
    method: 'post',
    path: '/api/classes/:classId/gradebook/columns',
    who: 'educator',
    reach: ownClass,
    body: newPracticalSchema,
    handle: async (call) => {
      const added = await addPractical(call.db, call.reached, call.body, by(call));
      call.res.status(201);
      return added;
    },
  }),
  route({
    method: 'patch',
    path: '/api/classes/:classId/gradebook/columns/:columnId',
    who: 'educator',
    reach: pieceOfMyClass,
    body: gradeColumnChangeSchema,
    handle: (call) => changeColumn(call.db, call.reached, call.body, by(call)),
  }),
  route({
    method: 'delete',
    path: '/api/classes/:classId/gradebook/columns/:columnId',
    who: 'educator',
    reach: pieceOfMyClass,
    handle: (call) => deletePractical(call.db, call.reached, by(call)),
  }),
  route({
    method: 'put',
    path: '/api/classes/:classId/gradebook/columns/:columnId/students/:studentId',
    who: 'educator',
    reach: cellOfMyClass,
    body: gradeEntryWriteSchema,
    handle: (call) => enterMark(call.db, call.reached, call.body, by(call)),
  }),
  route({
    method: 'get',
    path: '/api/my/terms',
    who: 'student',
    handle: ({ db, me, now }) => myTerms(db, me.id, now()),
  }),
];
