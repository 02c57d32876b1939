import path from 'node:path';
import { readConfig } from '../config.ts';
import { connect } from '../database/connect.ts';
import { checkFolder, databaseFile } from '../database/checks.ts';
import { copyDatabase } from '../database/copyDatabase.ts';
import { StartError } from '../startError.ts';
import { makeBackup, prepareRestore } from './backups.ts';

/** `backup [FILE]` and `restore FILE`, beside a server that runs or not. */
async function run([command, file]: readonly string[]): Promise<string> {
  const dataDir = path.resolve(readConfig(process.env).dataDir);
  if (command === 'restore') {
    if (file === undefined) throw new StartError('Say which copy: npm run restore -- FILE.');
    await prepareRestore({ dataDir, file: path.resolve(file) });
    return `${file} is sound. The server takes it at once where it runs, or else when it starts; what was there is kept in backups.`;
  }
  checkFolder(dataDir);
  const sequelize = await connect(databaseFile(dataDir));
  try {
    if (file !== undefined) {
      await copyDatabase(sequelize, path.resolve(file));
      return path.resolve(file);
    }
    const { name } = await makeBackup({ db: { sequelize, dataDir }, by: 'hand', at: new Date() });
    return path.join(dataDir, 'backups', name);
  } finally {
    await sequelize.close();
  }
}

process.umask(0o077);
run(process.argv.slice(2)).then(
  (said) => console.log(said),
  (error: unknown) => {
    console.error(error instanceof StartError || error instanceof Error ? error.message : error);
    process.exit(1);
  },
);
