import { lineSchema, shippedLine } from '@cimbel/core/shades';
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

describe('removers of an educator', () => {
  it('lose the peroxide they never held, and get back what was written on the way down', async () => {
    const book = crypto.randomUUID();
    const saved = new Date();
    const { id: educator } = await h.db('users').where({ role: 'educator' }).first('id');
    await h.db.migrate.down({ migrationSource, name: '006_craft' } as object);
    await h.db('shade_books').insert({ id: book, educator_id: educator, version: 1, created_at: saved });
    const line = { ...shippedLine('lantry')!, developersVol: [5] };
    await h.db('shade_book_versions').insert({
      book_id: book,
      version: 1,
      line: JSON.stringify(line),
      saved_at: saved,
    });
    const now = async () => (await h.db('shade_book_versions').where({ book_id: book }).first('line')).line;
    await migrate(h.db);
    expect(lineSchema.parse(await now()).developersVol).toEqual([0]);
    await h.db.migrate.down({ migrationSource, name: '006_craft' } as object);
    expect((await now()).developersVol).toEqual([5]);
    await migrate(h.db);
    await h.db('shade_books').where({ id: book }).delete();
  });
});

describe('the schools of a class', () => {
  it('goes back and forth, and gives exercises set before it the rules they were set under', async () => {
    const rulesOf = () => h.db('exercises').where({ id: room.exerciseId }).first('house_rules');
    const before = await rulesOf();
    await h.db.migrate.down({ migrationSource, name: '006_craft' } as object);
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
