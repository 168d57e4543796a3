// Installs and builds what is missing, then serves. `--demo` uses the demo's own data folder; the rest goes to the server.
import { spawn } from 'node:child_process';
import { build, install, root } from './fresh-work.mjs';

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  process.stderr.write(`Which Way needs Node 20.19 or newer; this is ${process.versions.node}.\n`);
  process.exit(1);
}
install();
build();
const server = spawn(
  process.execPath,
  ['--enable-source-maps', 'server/bundle/main.js', ...process.argv.slice(2)],
  { cwd: root, stdio: 'inherit' },
);
let stopping = false;
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    stopping = true;
    if (server.exitCode === null) server.kill(signal);
  });
}
server.on('exit', (code) => {
  if (stopping) process.stdout.write('\nWhich Way has stopped.\n');
  process.exit(stopping ? 0 : (code ?? 1));
});
