import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { ROOT } from '../house';

const UNIT = join(ROOT, 'scripts', 'systemd', 'orthotens.service');

it('the unit starts what there is, for good, and systemd takes it', () => {
  const unit = readFileSync(UNIT, 'utf8');
  const { scripts } = JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8')) as {
    scripts: Record<string, string>;
  };
  const [, script = ''] =
    /^ExecStart=\/usr\/bin\/npm run --silent (\w+) -- --stay$/m.exec(unit) ?? [];
  expect(scripts[script]).toBe('node scripts/run.mjs start');
  expect(unit).toContain('Restart=always');
  // Source: systemd itself, where it is.
  const analyse = '/usr/bin/systemd-analyze';
  if (!existsSync(analyse)) return;
  const { status, stderr } = spawnSync(analyse, ['verify', UNIT], { encoding: 'utf8' });
  expect(stderr.split('\n').filter((line) => line.includes('orthotens'))).toEqual([]);
  expect(status).toBe(0);
});
