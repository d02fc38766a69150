import type { ClassEducator, NewClassEducator } from '@cimbel/contract';
import type { Knex } from 'knex';
import { invalidField } from '../http/errors';
import { tell } from '../live/hub';
import { record } from '../log/store';
import type { ClassRow } from './access';

/** Who leads a class, the owner first. */
export async function educatorsOf(db: Knex, classId: string): Promise<ClassEducator[]> {
  return db('leaders')
    .join('users', 'users.id', 'leaders.educator_id')
    .where({ class_id: classId })
    .orderByRaw("rights = 'owner' desc, users.name")
    .select('users.id', 'users.name', 'users.email', 'rights');
}

/** Lets another educator of the installation lead a class too, or changes how far. */
export async function addEducator(
  db: Knex,
  inClass: ClassRow,
  educatorId: string,
  { email, rights }: NewClassEducator,
  now: Date,
): Promise<void> {
  const user = await db('users').where({ email, role: 'educator' }).first('id');
  if (!user)
    throw invalidField(
      'email',
      'noEducator',
      'No educator here has this address. The administrator invites them.',
    );
  if (user.id === inClass.educator_id) throw invalidField('email', 'isOwner', 'The class is theirs already.');
  await db.transaction(async (trx) => {
    await trx('class_educators')
      .insert({ class_id: inClass.id, educator_id: user.id, rights, added_at: now })
      .onConflict(['class_id', 'educator_id'])
      .merge({ rights });
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'class.educatorAdded',
      classId: inClass.id,
      subject: user.id,
      after: { rights },
    });
  });
}

export async function removeEducator(
  db: Knex,
  inClass: Pick<ClassRow, 'id'>,
  educatorId: string,
  removed: string,
  now: Date,
): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('class_educators').where({ class_id: inClass.id, educator_id: removed }).delete();
    await tell(trx, { accountId: removed });
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'class.educatorRemoved',
      classId: inClass.id,
      subject: removed,
    });
  });
}
