import { spawnSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { takeDataFolder } from '../database/data-folder.js';
import { bench, filled, folder } from '../testing/backups.js';
import { serve } from '../testing/served.js';

const root = fileURLToPath(new URL('../../..', import.meta.url));

describe('backup and restore by command', () => {
  const command = (name: string, ...args: string[]) =>
    spawnSync(process.execPath, [`server/bundle/${name}-command.js`, ...args], {
      cwd: root,
      encoding: 'utf8',
    });

  it('copy a bench that is being served, put it back whole, and move aside what is there', async () => {
    const place = folder();
    const { served } = await filled(place);
    const before = await bench(served);
    const file = join(place, 'copy.zip');
    expect(command('backup', file, '--data', place).status).toBe(0);
    expect(command('backup', file, '--data', place).stderr).toContain('already exists');
    const { release } = takeDataFolder(place, false);
    expect(command('restore', file, '--data', place).stderr).toContain('Another Which Way is using');
    release();
    await served.stop();
    const data = join(place, 'elsewhere');
    const first = command('restore', file, '--data', data);
    expect([first.status, first.stdout]).toEqual([0, expect.stringContaining('2 jobs, 4 events')]);
    const other = await serve(data);
    expect(await bench(other)).toEqual(before);
    await other.stop();
    expect(command('restore', file, '--data', data).stdout).toContain('What was there is in');
    expect(readdirSync(data).some((name) => name.startsWith('aside-'))).toBe(true);
    expect(command('restore', 'nowhere.zip', '--data', data).stderr).toContain('There is no file');
    expect(command('restore').stderr).toContain('Name the backup');
    expect(command('backup', '--data', join(place, 'nothing')).stderr).toContain('There is no bench');
    expect(command('backup', '--dats', place).stderr).toMatch(/Unknown option '--dats'/);
  });
});

describe('a backup for which there is no room', () => {
  it('by a limit on the size of files, says so without an engine’s words, and leaves nothing behind', async () => {
    const place = folder();
    const { served } = await filled(place);
    await served.stop();
    const limited = (blocks: number, command: string) =>
      spawnSync('sh', ['-c', `ulimit -f ${blocks}; exec "${process.execPath}" ${command}`], {
        cwd: root,
        encoding: 'utf8',
      });
    const file = join(place, 'copy.zip');
    const { status, stderr } = limited(40, `server/bundle/backup-command.js "${file}" --data "${place}"`);
    expect([status, stderr]).toEqual([3, expect.stringContaining('There is no room for the backup')]);
    expect(stderr).not.toMatch(/SQLITE|EFBIG|I\/O error|\n\s+at /);
    expect(readdirSync(place).filter((name) => name.startsWith('copy.zip'))).toEqual([]);
  });
});
