// npm run backup [FILE], npm run restore FILE, npm run passphrase: the commands of whoever has the machine.
import path from 'node:path';
import { existsSync } from 'node:fs';
import { installPackages, must, ROOT } from './bootstrap.mjs';
import { buildHouse, settingsOf } from './build.mjs';

const FOLDER = '.next';
const house = path.join(ROOT, FOLDER, 'house', 'house.mjs');

installPackages();
if (!existsSync(house)) await buildHouse(FOLDER);
must(process.execPath, [house, ...process.argv.slice(2)], settingsOf(FOLDER));
