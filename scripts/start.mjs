// npm start: installs and builds what is missing, and serves the house's own database.
// `-- --port N` serves on another port; `-- --host ADDRESS` lets other machines reach it, once it has a passphrase.
import path from 'node:path';
import { installPackages } from './bootstrap.mjs';
import { buildAll, houseOf, serverOf, settingsOf } from './build.mjs';
import { runsFrom } from './inUse.mjs';
import { must, option, ROOT, say, serve, step } from './processes.mjs';
import { needsNode, needsPort } from './ready.mjs';

const FOLDER = '.next';
const port = option('--port') ?? process.env.PORT ?? '4173';
const host = option('--host') ?? '127.0.0.1';

needsNode();
await needsPort(host, port);
step(1, 3, 'the packages');
await installPackages();
step(2, 3, 'the pages');
await buildAll(FOLDER);
const env = { ...settingsOf(FOLDER), PORT: port };
await must(process.execPath, [houseOf(FOLDER, 'house.mjs'), 'may-listen', host], env, { speaks: true });
step(3, 3, 'serving');
say(`Open http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`);
say('Forgotten the passphrase? Whoever has this machine sets a new one: npm run passphrase');
runsFrom(path.join(ROOT, FOLDER));
await serve(serverOf(host, port), env);
