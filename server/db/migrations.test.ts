import { DEFAULT_HOUSE_RULES, houseRulesSchema } from '@cimbel/core/theory';
import { classroom, harness, type Harness } from '../testing/harness';
import { migrate, migrationSource } from './database';

let h: Harness;
let room: Awaited<ReturnType<typeof classroom>>;
beforeAll(async () => {
  h = await harness();
  room = await classroom(h);
}, 60_000);
afterAll(() => h.close());

const columns = async (table: string): Promise<string[]> => Object.keys(await h.db(table).columnInfo());

describe('the newest migration', () => {
  it('goes back and forth, and gives exercises set before it the rules they were set under', async () => {
    const rulesOf = () => h.db('exercises').where({ id: room.exerciseId }).first('house_rules');
    const before = await rulesOf();
    await h.db.migrate.down({ migrationSource, name: '005_schools' } as object);
    expect(await columns('exercises')).not.toEqual(expect.arrayContaining(['card']));
    expect(await columns('regrades')).not.toContain('moved_at');
    const older = (await rulesOf()).house_rules;
    for (const rule of ['levelScale', 'preServiceWash', 'endsRefresh', 'units', 'weighingTolerance'])
      expect(older).not.toHaveProperty(rule);
    await migrate(h.db);
    expect(await rulesOf()).toEqual(before);
    expect(await columns('exercises')).toEqual(expect.arrayContaining(['card', 'slip']));
    // The page of one who was set it then opens as it did.
    const { body } = await room.student.get(`/api/my/exercises/${room.exerciseId}`).expect(200);
    expect(body.houseRules).toEqual(DEFAULT_HOUSE_RULES);
  });

  it('leaves nothing that a row needs without a value', async () => {
    const rows = await h.db('exercises').select('house_rules');
    expect(rows.length).toBeGreaterThan(1);
    for (const { house_rules } of rows) expect(houseRulesSchema.parse(house_rules)).toEqual(house_rules);
  });
});
