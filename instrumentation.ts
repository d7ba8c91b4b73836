/** Runs once when the server starts. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { keepLogShort, quietErrors } = await import('./scripts/server-log');
  quietErrors();
  const { watchAnswers } = await import('./app/answering');
  watchAnswers();
  const { believeProxies, NO_PROXY, proxiesNamed } = await import('./app/forwarded');
  const proxies = proxiesNamed(process.env.ORTHOTENS_PROXY);
  if (!proxies) throw new Error(NO_PROXY);
  believeProxies(proxies);
  // Of several processes (`scripts/serve.ts`) one does what is done once.
  if (process.env.ORTHOTENS_FIRST === '') return;
  const {
    ORTHOTENS_BACKUPS: folder,
    ORTHOTENS_LOG: log,
    ORTHOTENS_OWNER_URL: address,
  } = process.env;
  if (log) keepLogShort(log);
  if (!folder || !address) return;
  const { backUpDaily } = await import('./db/backup/daily');
  backUpDaily({
    address,
    folder,
    tools: {
      programs: process.env.ORTHOTENS_PROGRAMS,
      application: process.env.ORTHOTENS_VERSION ?? '',
    },
  });
}
