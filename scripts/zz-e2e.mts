process.chdir('/work/main');
const { testDatabase } = await import('/work/main/scripts/databases.ts');
const { openDatabase } = await import('/work/main/db/connection.ts');
const { migrateDatabase } = await import('/work/main/db/migrate.ts');
const { fillWithDemo } = await import('/work/main/db/demo/fill.ts');
const { ensureBuild } = await import('/work/main/scripts/build.ts');
const { backupPlace } = await import('/work/main/scripts/backups.ts');
const { spawnSync } = await import('node:child_process');
const url = await testDatabase('interface tests');
const { db, close } = openDatabase(url, 'command');
await migrateDatabase(db);
await fillWithDemo(db);
await close();
const { good } = await ensureBuild('.next-test');
if (!good) process.exit(1);
const r = spawnSync(
  'node_modules/.bin/playwright',
  ['test', '--reporter=line', ...process.argv.slice(2)],
  {
    stdio: 'inherit',
    env: {
      ...process.env,
      DATABASE_URL: url,
      ORTHOTENS_BUILD: '.next-test',
      ORTHOTENS_PORT: '3655',
      ORTHOTENS_HEAD_PORT: '3755',
      ORTHOTENS_BACKUPS: backupPlace(url).folder,
      ORTHOTENS_PROGRAMS: '/usr/lib/postgresql/15/bin',
    },
  },
);
process.exit(r.status ?? 1);
