import type { Call } from '../http/route';
import type { AnyExerciseRow, ExerciseRow, ServiceRow } from './row';

export type OfClass<Row> = Row & { class_name: string };
export type ExerciseOfClass = OfClass<ExerciseRow>;
export type ServiceOfClass = OfClass<ServiceRow>;

/** The exercise, for the educator who leads its class. */
export async function ownAnyExercise({ db, me, param }: Call): Promise<OfClass<AnyExerciseRow> | null> {
  const row = await db('exercises')
    .join('classes', 'classes.id', 'exercises.class_id')
    .where({ 'exercises.id': param('exerciseId'), 'classes.educator_id': me!.id })
    .select('exercises.*', 'classes.name as class_name')
    .first();
  return row ?? null;
}

/** The exercise, for a student of its class. */
async function anySetToMe({ db, me, param }: Call): Promise<OfClass<AnyExerciseRow> | null> {
  const row = await db('exercises')
    .join('classes', 'classes.id', 'exercises.class_id')
    .join('memberships', 'memberships.class_id', 'classes.id')
    .where({ 'exercises.id': param('exerciseId'), 'memberships.student_id': me!.id })
    .select('exercises.*', 'classes.name as class_name')
    .first();
  return row ?? null;
}

/** What the address names, where it is of the kind that is asked for. */
const ofKind =
  <Row extends AnyExerciseRow>(
    kind: Row['kind'],
    reach: (call: Call) => Promise<OfClass<AnyExerciseRow> | null>,
  ) =>
  async (call: Call): Promise<OfClass<Row> | null> => {
    const row = await reach(call);
    return row?.kind === kind ? (row as unknown as OfClass<Row>) : null;
  };

export const ownExercise = ofKind<ExerciseRow>('formula', ownAnyExercise);
export const exerciseSetToMe = ofKind<ExerciseRow>('formula', anySetToMe);
export const ownService = ofKind<ServiceRow>('service', ownAnyExercise);
export const serviceSetToMe = ofKind<ServiceRow>('service', anySetToMe);
