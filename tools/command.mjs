// `npm run backup` and `npm run restore`: builds what is missing, then runs the server's own command with the rest of the line.
import { spawnSync } from 'node:child_process';
import { build, install, root } from './fresh-work.mjs';

const [name, ...rest] = process.argv.slice(2);
install();
build();
// File names are meant from where the person stands, which npm hides behind its own folder.
const cwd = process.env.INIT_CWD ?? process.cwd();
const { status } = spawnSync(process.execPath, [`${root}server/bundle/${name}-command.js`, ...rest], {
  cwd,
  stdio: 'inherit',
});
process.exit(status ?? 1);
