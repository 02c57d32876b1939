import { DataTypes, type QueryInterface } from 'sequelize';

/** By what the log is sorted and filtered, besides the columns that have an index already. */
const BY = {
  strength: "'$.strengthFrac'",
  grind: "'$.plan.grind'",
  vessel: "'$.vesselName'",
} as const;

/** The words of a batch: what it was of and in, and who began it. */
const words = (row: string): string =>
  `${row}.coffee_name || ' ' || json_extract(${row}.body, '$.vesselName') || ' '
   || json_extract(${row}.body, '$.plan.grind') || ' ' || ${row}.author`;
/** What was noted of a batch, and by whom. */
const notes = (shop: string, id: string): string =>
  `COALESCE((SELECT group_concat(note || ' ' || author, ' ') FROM batch_actuals
     WHERE shop_id = ${shop} AND batch_id = ${id} AND note <> ''), '')`;

/** The log: words that the engine searches, indexes for its sorts, what was learned, tastings. */
export const theLog = {
  name: '20261203-the-log',

  async up({ context }: { context: QueryInterface }): Promise<void> {
    const run = async (sql: string): Promise<void> => {
      await context.sequelize.query(sql);
    };
    for (const [name, path] of Object.entries(BY))
      await run(
        `CREATE INDEX batches_by_${name} ON batches (shop_id, json_extract(body, ${path}))`,
      );
    // Keys of its own: those of a table without one may change when the file is copied.
    await run(`CREATE TABLE log_words (seq INTEGER PRIMARY KEY AUTOINCREMENT,
      shop_id VARCHAR(64) NOT NULL, batch_id VARCHAR(64) NOT NULL, words TEXT NOT NULL,
      UNIQUE (shop_id, batch_id))`);
    await run(`CREATE VIRTUAL TABLE log_search USING fts5(words, content='log_words',
      content_rowid='seq', tokenize='unicode61 remove_diacritics 2')`);
    await run(`CREATE TRIGGER log_words_in AFTER INSERT ON log_words BEGIN
      INSERT INTO log_search (rowid, words) VALUES (new.seq, new.words); END`);
    await run(`CREATE TRIGGER log_words_out AFTER DELETE ON log_words BEGIN
      INSERT INTO log_search (log_search, rowid, words) VALUES ('delete', old.seq, old.words); END`);
    await run(`CREATE TRIGGER log_words_new AFTER UPDATE ON log_words BEGIN
      INSERT INTO log_search (log_search, rowid, words) VALUES ('delete', old.seq, old.words);
      INSERT INTO log_search (rowid, words) VALUES (new.seq, new.words); END`);
    await run(`INSERT INTO log_words (shop_id, batch_id, words)
      SELECT shop_id, id, ${words('batches')} || ' ' || ${notes('batches.shop_id', 'batches.id')}
      FROM batches`);
    await run(`CREATE TRIGGER batches_words_in AFTER INSERT ON batches BEGIN
      INSERT INTO log_words (shop_id, batch_id, words) VALUES (new.shop_id, new.id, ${words('new')}); END`);
    await run(`CREATE TRIGGER batches_words_new AFTER UPDATE ON batches
      WHEN ${words('old')} <> ${words('new')} BEGIN
      UPDATE log_words SET words = ${words('new')} || ' ' || ${notes('new.shop_id', 'new.id')}
      WHERE shop_id = new.shop_id AND batch_id = new.id; END`);
    await run(`CREATE TRIGGER batches_words_out AFTER DELETE ON batches BEGIN
      DELETE FROM log_words WHERE shop_id = old.shop_id AND batch_id = old.id; END`);
    await run(`CREATE TRIGGER actuals_words_in AFTER INSERT ON batch_actuals WHEN new.note <> '' BEGIN
      UPDATE log_words SET words = words || ' ' || new.note || ' ' || new.author
      WHERE shop_id = new.shop_id AND batch_id = new.batch_id; END`);

    const row = {
      seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      shop_id: { type: DataTypes.STRING(64), allowNull: false },
      id: { type: DataTypes.STRING(64), allowNull: false },
      author: { type: DataTypes.STRING(64), allowNull: false },
      at: { type: DataTypes.STRING(32), allowNull: false },
    };
    await context.createTable('learned_versions', {
      ...row,
      of: { type: DataTypes.STRING(64), allowNull: false },
      number: { type: DataTypes.DOUBLE, allowNull: false },
      learned: { type: DataTypes.JSON, allowNull: true },
      batch_count: { type: DataTypes.DOUBLE, allowNull: false },
    });
    await context.createTable('tastings', {
      ...row,
      of: { type: DataTypes.STRING(64), allowNull: false },
      kind: { type: DataTypes.STRING(32), allowNull: false },
      taster: { type: DataTypes.STRING, allowNull: false },
      note: { type: DataTypes.STRING, allowNull: false },
      said: { type: DataTypes.JSON, allowNull: false },
    });
    for (const name of ['learned_versions', 'tastings']) {
      await context.addIndex(name, ['shop_id', 'id'], { unique: true, name: `${name}_id` });
      await context.addIndex(name, ['shop_id', 'of'], { name: `${name}_of` });
    }
    await context.createTable('blind_tests', {
      shop_id: { type: DataTypes.STRING(64), primaryKey: true },
      id: { type: DataTypes.STRING(64), primaryKey: true },
      version: { type: DataTypes.INTEGER, allowNull: false },
      author: { type: DataTypes.STRING(64), allowNull: false },
      begun_at: { type: DataTypes.STRING(32), allowNull: true },
      body: { type: DataTypes.JSON, allowNull: false },
    });
  },

  async down({ context }: { context: QueryInterface }): Promise<void> {
    const run = async (sql: string): Promise<void> => {
      await context.sequelize.query(sql);
    };
    for (const table of ['blind_tests', 'tastings', 'learned_versions'])
      await context.dropTable(table);
    for (const trigger of [
      'actuals_words_in',
      'batches_words_out',
      'batches_words_new',
      'batches_words_in',
      'log_words_new',
      'log_words_out',
      'log_words_in',
    ])
      await run(`DROP TRIGGER ${trigger}`);
    await run('DROP TABLE log_search');
    await run('DROP TABLE log_words');
    for (const name of Object.keys(BY)) await run(`DROP INDEX batches_by_${name}`);
  },
};
