import { batchInFullSchema, batchSchema, draftSchema, sampleSetSchema } from '@ratio/core/batch';
import { vesselSchema } from '@ratio/core/brew';
import { coffeeSchema } from '@ratio/core/coffee';
import { dayPoursSchema } from '@ratio/core/day';
import { drinkSchema, drinkVersionSchema } from '@ratio/core/drink';
import { instrumentSchema, instrumentStateSchema } from '@ratio/core/instruments';
import { jugEntrySchema, jugSchema } from '@ratio/core/jug';
import { learnedVersionSchema, logAnswer } from '@ratio/core/log';
import { houseRecipeSchema, openedSchema, pantryItemSchema } from '@ratio/core/pantry';
import { sessionSchema, shopSchema } from '@ratio/core/shop';
import { blindTestSchema } from '@ratio/core/tasting';
import { expect } from 'chai';
import request from 'supertest';
import { z } from 'zod';
import { openLidoServer, type LidoServer } from '../lidoServer.ts';

/** Whether everything that a schema makes of a value is in the value already. */
function isWhole(made: unknown, of: unknown): boolean {
  if (typeof made !== 'object' || made === null) return Object.is(made, of);
  if (typeof of !== 'object' || of === null) return false;
  return Object.entries(made).every(([key, value]) =>
    isWhole(value, (of as Record<string, unknown>)[key]),
  );
}

const ANSWERS: readonly (readonly [path: string, schema: z.ZodType])[] = [
  ['/api/session', sessionSchema],
  ['/api/shop', shopSchema],
  ['/api/coffees', z.array(coffeeSchema)],
  ['/api/vessels', z.array(vesselSchema)],
  ['/api/learned', z.array(learnedVersionSchema)],
  ['/api/pantry', z.array(pantryItemSchema)],
  ['/api/house-recipes', z.array(houseRecipeSchema)],
  ['/api/opened', z.array(openedSchema)],
  ['/api/drinks', z.array(drinkSchema)],
  ['/api/batches', z.array(batchSchema)],
  ['/api/running', z.array(batchInFullSchema)],
  ['/api/log/lately', z.array(batchInFullSchema)],
  ['/api/log', logAnswer],
  ['/api/jugs', z.array(jugSchema)],
  ['/api/drafts', z.array(draftSchema)],
  ['/api/samples', z.array(sampleSetSchema)],
  ['/api/pours', z.array(dayPoursSchema)],
  ['/api/instruments', z.array(instrumentSchema)],
  ['/api/instruments/states', z.array(instrumentStateSchema)],
  ['/api/blind-tests', z.array(blindTestSchema)],
];

/** Fields that came later than a table did, and what they are where nobody ever said. */
const LATER: readonly (readonly [table: string, path: string, field: string, usual: unknown])[] = [
  ['vessels', '/api/vessels', 'tareG', null],
  ['coffees', '/api/coffees', 'robustaFrac', 0],
  ['batches', '/api/batches', 'needsCleaning', false],
  ['jugs', '/api/jugs', 'filledRange', null],
  ['pantry_items', '/api/pantry', 'extraKcalPerG', 0],
  ['drinks', '/api/drinks', 'ice.kind', 'cubes'],
];

describe('what the server answers', () => {
  let server: LidoServer;
  before(async () => {
    server = await openLidoServer();
  });
  after(() => server.close());
  const bodyOf = async (path: string): Promise<unknown> =>
    (await request(server.app).get(path).expect(200)).body;

  for (const [path, schema] of ANSWERS)
    it(`${path} leaves nothing for whoever reads it to fill in`, async () => {
      const body = await bodyOf(path);
      expect(isWhole(schema.parse(body), body)).to.equal(true);
    });

  it('holds of a jug’s rows and of a drink’s versions too', async () => {
    for (const jug of (await bodyOf('/api/jugs')) as { id: string }[]) {
      const rows = await bodyOf(`/api/jugs/${jug.id}/entries`);
      expect(isWhole(z.array(jugEntrySchema).parse(rows), rows)).to.equal(true);
    }
    for (const drink of (await bodyOf('/api/drinks')) as { id: string }[]) {
      const versions = await bodyOf(`/api/drinks/${drink.id}/versions`);
      expect(isWhole(z.array(drinkVersionSchema).parse(versions), versions)).to.equal(true);
    }
  });

  for (const [table, path, field, usual] of LATER)
    it(`has ${field} of ${table} that were kept before there was one`, async () => {
      const old = ((await bodyOf(path)) as { id: string; ice?: unknown }[]).find(
        ({ ice }) => !field.startsWith('ice') || ice,
      )!;
      const { sequelize, write } = server.db;
      await write((transaction) =>
        sequelize.query(
          `UPDATE ${table} SET body = json_remove(body, '$.${field}') WHERE id = '${old.id}'`,
          { transaction },
        ),
      );
      const now = ((await bodyOf(path)) as { id: string }[]).find(({ id }) => id === old.id);
      expect(now).to.have.nested.property(field, usual);
    });
});
