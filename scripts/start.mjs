// npm start: installs and builds what is missing, and serves the house's own database.
// `-- --port N` serves on another port; `-- --host ADDRESS` lets other machines reach it, once it has a passphrase.
import { existsSync } from 'node:fs';
import path from 'node:path';
import { installPackages, must, option, ROOT, say, serve } from './bootstrap.mjs';
import { buildAll, serverOf, settingsOf, workerOf } from './build.mjs';

const FOLDER = '.next';
const port = option('--port') ?? process.env.PORT ?? '4173';
const host = option('--host') ?? '127.0.0.1';

installPackages();
if (!existsSync(workerOf(FOLDER))) await buildAll(FOLDER);
const env = settingsOf(FOLDER);
must(process.execPath, [path.join(ROOT, FOLDER, 'house', 'house.mjs'), 'may-listen', host], env);
say(`Open http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`);
say('Forgotten the passphrase? Whoever has this machine sets a new one: npm run passphrase');
serve(serverOf(host, port), env);
