import { DataTypes, QueryTypes, type QueryInterface } from 'sequelize';

type Body = Record<string, unknown>;
interface Row {
  readonly id: string;
  readonly version: number;
  readonly body: string;
}

const AUTHOR = 'unsigned';
const rename = (body: Body, names: Readonly<Record<string, string>>): Body =>
  Object.fromEntries(Object.entries(body).map(([key, value]) => [names[key] ?? key, value]));
const flip = (names: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(Object.entries(names).map(([a, b]) => [b, a]));
const mapped = <T>(value: unknown, change: (one: T) => unknown): unknown =>
  value === null || value === undefined ? value : change(value as T);

// The words of before and after, for each kind of document.
const METHODS = { kept: 'on-grounds' } as const;
const methodOf = (names: Readonly<Record<string, string>>) => (of: Body) => ({
  ...of,
  method: names[of['method'] as string] ?? of['method'],
});
const PLAN = { separation: 'filtration' } as const;
const planUp = (plan: Body): Body => {
  const next = rename(plan, PLAN);
  return { ...next, filtration: methodOf(METHODS)(next['filtration'] as Body) };
};
const planDown = (plan: Body): Body => {
  const filtration = methodOf(flip(METHODS))(plan['filtration'] as Body);
  return rename({ ...plan, filtration }, flip(PLAN));
};
const DRAFT = { held: 'targets', pinned: 'locked' } as const;
const DRINK = { shares: 'servings' } as const;
const ICE = { part: 'recipe' } as const;
const TARGET = { told: 'writtenIn' } as const;
const DILUENT = { share: 'proportion' } as const;
const drinkUp = ({ fillWith, fillAlso, ...drink }: Body): Body => ({
  ...rename(drink, DRINK),
  ice: mapped<Body>(drink['ice'], (ice) => rename(ice, ICE)),
  target: mapped<Body>(drink['target'], (target) => rename(target, TARGET)),
  diluents: [fillWith, ...((fillAlso as Body[] | undefined) ?? [])].map((one) =>
    rename(one as Body, DILUENT),
  ),
});
const drinkDown = ({ diluents, ...drink }: Body): Body => {
  const [fillWith, ...fillAlso] = (diluents as Body[]).map((one) => rename(one, flip(DILUENT)));
  return {
    ...rename(drink, flip(DRINK)),
    ...('ice' in drink ? { ice: mapped<Body>(drink['ice'], (ice) => rename(ice, flip(ICE))) } : {}),
    ...('target' in drink
      ? { target: mapped<Body>(drink['target'], (target) => rename(target, flip(TARGET))) }
      : {}),
    fillWith,
    fillAlso,
  };
};
const withoutEmpty = (body: Body): Body =>
  Object.fromEntries(Object.entries(body).filter(([, value]) => value !== undefined));

/** The model that every batch was predicted with until now: the tables', with its coffee's traits. */
const modelOf = (coffee: Body): Body => {
  const { solubleFrac, robustaFrac, decafFrac } = coffee as Record<string, number>;
  const regular = (1 - robustaFrac!) * 0.012 + robustaFrac! * 0.022;
  return {
    equilibriumYieldFrac: solubleFrac,
    diffusivity22M2PerS: 2e-12,
    retainedGPerG: {
      drain: 2,
      paper: 2.05,
      press: 1.7,
      squeeze: 1.4,
      insert: 2.2,
      'on-grounds': 2,
    },
    looseDensityGPerMl: {
      'extra-coarse': 0.3,
      coarse: 0.32,
      'medium-coarse': 0.33,
      medium: 0.35,
      fine: 0.4,
      beans: 0.36,
    },
    caffeineMgPerG: 1000 * ((1 - decafFrac!) * regular + decafFrac! * 0.001),
  };
};
const FILLED = ['strengthFrac', 'readBy', 'caffeineMgPerG', 'pricePerKg', 'useBy'] as const;
const picked = (body: Body, keys: readonly string[]): Body =>
  Object.fromEntries(keys.map((key) => [key, body[key]]));

interface Table {
  readonly before: string;
  readonly after: string;
  /** Columns beside the body: SQL type, and the key that they hold. */
  readonly columns?: Readonly<Record<string, { key: string; type: string }>>;
  readonly up?: (body: Body) => Body;
  readonly down?: (body: Body) => Body;
}
const column = (key: string, type: string) => ({ key, type });
const TABLES: readonly Table[] = [
  {
    before: 'shops',
    after: 'shops',
    up: (shop) => defaults(shop, METHODS),
    down: (shop) => defaults(shop, flip(METHODS)),
  },
  { before: 'coffees', after: 'coffees' },
  { before: 'vessels', after: 'vessels', columns: { brim_ml: column('brimMl', 'DOUBLE') } },
  {
    before: 'drinks',
    after: 'drinks',
    columns: { order: column('order', 'DOUBLE') },
    up: drinkUp,
    down: drinkDown,
  },
  {
    before: 'batches',
    after: 'batches',
    columns: {
      coffee_name: column('coffeeName', 'VARCHAR(255)'),
      status: column('status', 'VARCHAR(16)'),
      started_at: column('startedAt', 'VARCHAR(32)'),
      ends_at: column('endsAt', 'VARCHAR(32)'),
      strained_at: column('strainedAt', 'VARCHAR(32)'),
    },
    up: (batch) => ({
      ...batch,
      plan: planUp(batch['plan'] as Body),
      model: modelOf(batch['coffee'] as Body),
    }),
    down: ({ model: _, ...batch }) => ({ ...batch, plan: planDown(batch['plan'] as Body) }),
  },
  {
    before: 'jugs',
    after: 'jugs',
    columns: {
      made_at: column('madeAt', 'VARCHAR(32)'),
      use_by: column('useBy', 'VARCHAR(32)'),
      on_hand_g: column('onHandG', 'DOUBLE'),
    },
    up: (jug) => ({ ...jug, filled: picked(jug, FILLED), lastEntryId: null, onHandG: 0 }),
    down: ({ filled, lastEntryId: _, onHandG: __, ...jug }) => ({ ...jug, ...(filled as Body) }),
  },
  {
    before: 'drafts',
    after: 'drafts',
    columns: { saved_at: column('savedAt', 'VARCHAR(32)') },
    up: (draft) => ({ ...rename(draft, DRAFT), plan: planUp(draft['plan'] as Body) }),
    down: (draft) => ({ ...rename(draft, flip(DRAFT)), plan: planDown(draft['plan'] as Body) }),
  },
  {
    before: 'sample_sets',
    after: 'sample_sets',
    up: (set) => ({ ...set, plan: planUp(set['plan'] as Body) }),
    down: (set) => ({ ...set, plan: planDown(set['plan'] as Body) }),
  },
  { before: 'pantry_items', after: 'pantry_items' },
  {
    before: 'house_parts',
    after: 'house_recipes',
    columns: { name: column('name', 'VARCHAR(255) COLLATE NOCASE') },
  },
  { before: 'opened_items', after: 'opened_items' },
];

function defaults(shop: Body, names: Readonly<Record<string, string>>): Body {
  return 'defaults' in shop
    ? { ...shop, defaults: methodOf(names)(shop['defaults'] as Body) }
    : shop;
}

const ROW_TABLES = [
  {
    name: 'jug_entries',
    of: 'jug_id',
    columns: [
      'kind',
      'mass_g',
      'note',
      'undoes',
      'strength_frac',
      'caffeine_mg_per_g',
      'price_per_kg',
      'use_by',
      'pair_id',
    ],
  },
  { name: 'drink_versions', of: 'drink_id', columns: ['drink', 'change', 'for_whom'] },
] as const;
const NUMBERS = ['mass_g', 'strength_frac', 'caffeine_mg_per_g', 'price_per_kg'];

export const shopsAndAuthors = {
  name: '20261127-shops-and-authors',

  async up({ context }: { context: QueryInterface }): Promise<void> {
    const sql = sqlOf(context);
    const shopId = (await sql.rows<{ id: string }>('SELECT id FROM shops'))[0]?.id ?? 'shop';
    // The ledger first: while its rows refer to the jugs, their table cannot be made anew.
    for (const { name, of, columns } of ROW_TABLES) {
      await sql.run(`ALTER TABLE ${name} RENAME TO ${name}_before`);
      await sql.run(createRows(name, of, columns));
      await sql.run(
        `INSERT INTO ${name} (seq, shop_id, id, author, at, ${of}, ${quoted(columns)})
          SELECT seq, '${shopId.replaceAll("'", "''")}', id, '${AUTHOR}', at, ${of}, ${quoted(columns)} FROM ${name}_before ORDER BY seq`,
      );
      await sql.run(`DROP TABLE ${name}_before`);
      await sql.run(`CREATE INDEX ${name}_of ON ${name} (shop_id, ${of})`);
    }
    for (const { before, after, columns = {}, up = (body: Body) => body } of TABLES) {
      const rows = await sql.rows<Row>(`SELECT id, version, body FROM "${before}"`);
      await sql.run(`DROP TABLE "${before}"`);
      const own = Object.entries(columns).map(([name, { type }]) => `, "${name}" ${type}`);
      await sql.run(
        `CREATE TABLE "${after}" (shop_id VARCHAR(64) NOT NULL, id VARCHAR(64) NOT NULL,
          version INTEGER NOT NULL, author VARCHAR(64) NOT NULL${own.join('')}, body JSON NOT NULL,
          PRIMARY KEY (shop_id, id))`,
      );
      for (const name of Object.keys(columns))
        await sql.run(`CREATE INDEX "${after}_${name}" ON "${after}" (shop_id, "${name}")`);
      for (const { id, version, body } of rows) {
        const next = withoutEmpty(up(JSON.parse(body) as Body));
        const rest = Object.fromEntries(
          Object.entries(next).filter(
            ([key]) => !Object.values(columns).some((one) => one.key === key),
          ),
        );
        await sql.insert(after, {
          shop_id: shopId,
          id,
          version,
          author: AUTHOR,
          ...Object.fromEntries(
            Object.entries(columns).map(([name, { key }]) => [name, next[key] ?? null]),
          ),
          body: JSON.stringify(rest),
        });
      }
    }
    for (const { seq, drink } of await sql.rows<{ seq: number; drink: string }>(
      'SELECT seq, drink FROM drink_versions',
    ))
      await sql.run('UPDATE drink_versions SET drink = :drink WHERE seq = :seq', {
        seq,
        drink: JSON.stringify(withoutEmpty(drinkUp(JSON.parse(drink) as Body))),
      });
    await sumLedgers(sql);
    await context.createTable('batch_actuals', {
      seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      shop_id: { type: DataTypes.STRING(64), allowNull: false },
      id: { type: DataTypes.STRING(64), allowNull: false },
      author: { type: DataTypes.STRING(64), allowNull: false },
      at: { type: DataTypes.STRING(32), allowNull: false },
      batch_id: { type: DataTypes.STRING(64), allowNull: false },
      kind: { type: DataTypes.STRING(16), allowNull: false },
      mass_g: { type: DataTypes.DOUBLE, allowNull: true },
      temp_c: { type: DataTypes.DOUBLE, allowNull: true },
      strength_frac: { type: DataTypes.DOUBLE, allowNull: true },
      note: { type: DataTypes.STRING, allowNull: false },
    });
    await sql.run('CREATE UNIQUE INDEX batch_actuals_id ON batch_actuals (shop_id, id)');
    await sql.run('CREATE INDEX batch_actuals_of ON batch_actuals (shop_id, batch_id)');
  },

  async down({ context }: { context: QueryInterface }): Promise<void> {
    const sql = sqlOf(context);
    await context.dropTable('batch_actuals');
    for (const { seq, drink } of await sql.rows<{ seq: number; drink: string }>(
      'SELECT seq, drink FROM drink_versions',
    ))
      await sql.run('UPDATE drink_versions SET drink = :drink WHERE seq = :seq', {
        seq,
        drink: JSON.stringify(drinkDown(JSON.parse(drink) as Body)),
      });
    for (const { before, after, columns = {}, down = (body: Body) => body } of TABLES) {
      const names = Object.keys(columns);
      const rows = await sql.rows<Row & Record<string, unknown>>(`SELECT * FROM "${after}"`);
      await sql.run(`DROP TABLE "${after}"`);
      await sql.run(
        `CREATE TABLE "${before}" (id VARCHAR(64) PRIMARY KEY, version INTEGER NOT NULL DEFAULT 1,
          body JSON NOT NULL)`,
      );
      for (const row of rows) {
        const whole = {
          ...(JSON.parse(row.body) as Body),
          ...Object.fromEntries(
            names
              .map((name) => [columns[name]!.key, row[name]] as const)
              // What never had a value was not in the body.
              .filter(([, value]) => value !== null || before === 'batches'),
          ),
        };
        await sql.insert(before, {
          id: row.id,
          version: row.version,
          body: JSON.stringify(withoutEmpty(down(whole))),
        });
      }
    }
    for (const { name, of, columns } of ROW_TABLES) {
      await sql.run(`ALTER TABLE ${name} RENAME TO ${name}_after`);
      await sql.run(
        createRows(name, of, columns)
          .replace(
            'shop_id VARCHAR(64) NOT NULL, id VARCHAR(64) NOT NULL',
            'id VARCHAR(64) NOT NULL UNIQUE',
          )
          .replace('author VARCHAR(64) NOT NULL, ', '')
          .replace(', UNIQUE (shop_id, id)', ''),
      );
      await sql.run(
        `INSERT INTO ${name} (seq, id, at, ${of}, ${quoted(columns)})
          SELECT seq, id, at, ${of}, ${quoted(columns)} FROM ${name}_after ORDER BY seq`,
      );
      await sql.run(`DROP TABLE ${name}_after`);
      await sql.run(`CREATE INDEX ${name}_${of} ON ${name} (${of})`);
    }
  },
};

const quoted = (columns: readonly string[]): string =>
  columns.map((name) => `"${name}"`).join(', ');

function createRows(name: string, of: string, columns: readonly string[]): string {
  const own = columns.map((one) =>
    NUMBERS.includes(one)
      ? `"${one}" DOUBLE`
      : one === 'undoes'
        ? `"${one}" VARCHAR(64) UNIQUE`
        : one === 'drink'
          ? `"${one}" JSON`
          : `"${one}" VARCHAR(255)`,
  );
  return `CREATE TABLE ${name} (seq INTEGER PRIMARY KEY AUTOINCREMENT, shop_id VARCHAR(64) NOT NULL, id VARCHAR(64) NOT NULL, author VARCHAR(64) NOT NULL, at VARCHAR(32) NOT NULL, ${of} VARCHAR(64) NOT NULL, ${own.join(', ')}, UNIQUE (shop_id, id))`;
}

/** What stands in a jug's columns is the sum of its ledger, as it was read until now. */
async function sumLedgers(sql: Sql): Promise<void> {
  const stands = 'NOT EXISTS (SELECT 1 FROM jug_entries u WHERE u.undoes = p.id)';
  const latest = (column: string, said = column): string =>
    `(SELECT p.${column} FROM jug_entries p WHERE p.jug_id = jugs.id AND p.${said} IS NOT NULL
      AND p.kind <> 'undone' AND ${stands} ORDER BY p.seq DESC LIMIT 1)`;
  const sums = await sql.rows<{
    id: string;
    body: string;
    madeUseBy: string;
    onHandG: number | null;
    lastEntryId: string | null;
    strengthFrac: number | null;
    strengthKind: string | null;
    caffeineMgPerG: number | null;
    pricePerKg: number | null;
    useBy: string | null;
  }>(`SELECT id, body, use_by AS madeUseBy,
      (SELECT SUM(mass_g) FROM jug_entries p WHERE p.jug_id = jugs.id) AS onHandG,
      (SELECT p.id FROM jug_entries p WHERE p.jug_id = jugs.id
        AND p.kind NOT IN ('filled', 'blended-out', 'undone') AND ${stands}
        ORDER BY p.seq DESC LIMIT 1) AS lastEntryId,
      ${latest('strength_frac')} AS strengthFrac, ${latest('kind', 'strength_frac')} AS strengthKind,
      ${latest('caffeine_mg_per_g')} AS caffeineMgPerG, ${latest('price_per_kg')} AS pricePerKg,
      ${latest('use_by')} AS useBy FROM jugs`);
  for (const { id, body, madeUseBy, onHandG, strengthKind, useBy, ...sum } of sums) {
    const jug = JSON.parse(body) as Body;
    const next = {
      ...jug,
      lastEntryId: sum.lastEntryId,
      strengthFrac: sum.strengthFrac ?? jug['strengthFrac'],
      caffeineMgPerG: sum.caffeineMgPerG ?? jug['caffeineMgPerG'],
      pricePerKg: sum.pricePerKg ?? jug['pricePerKg'] ?? null,
      readBy:
        strengthKind === null
          ? jug['readBy']
          : strengthKind === 'read'
            ? 'refractometer'
            : 'balance',
    };
    await sql.run('UPDATE jugs SET on_hand_g = :g, use_by = :useBy, body = :body WHERE id = :id', {
      id,
      g: onHandG ?? 0,
      useBy: useBy ?? madeUseBy,
      body: JSON.stringify(next),
    });
  }
}

interface Sql {
  readonly rows: <T extends object>(text: string) => Promise<T[]>;
  readonly run: (text: string, values?: Record<string, unknown>) => Promise<void>;
  readonly insert: (table: string, row: Record<string, unknown>) => Promise<void>;
}

function sqlOf({ sequelize }: QueryInterface): Sql {
  const run: Sql['run'] = async (text, replacements = {}) => {
    await sequelize.query(text, { replacements });
  };
  return {
    rows: <T extends object>(text: string) => sequelize.query<T>(text, { type: QueryTypes.SELECT }),
    run,
    insert: (table, row) => {
      const names = Object.keys(row);
      return run(
        `INSERT INTO "${table}" (${names.map((name) => `"${name}"`).join(', ')})
          VALUES (${names.map((name) => `:${name}`).join(', ')})`,
        row,
      );
    },
  };
}
