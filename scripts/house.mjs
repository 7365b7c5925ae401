// npm run backup [FILE], npm run restore FILE, npm run passphrase: the commands of whoever has the machine.
import { existsSync } from 'node:fs';
import { installPackages } from './bootstrap.mjs';
import { buildHouse, houseOf, settingsOf } from './build.mjs';
import { must } from './processes.mjs';
import { needsNode } from './ready.mjs';

const FOLDER = '.next';
const house = houseOf(FOLDER, 'house.mjs');

needsNode();
await installPackages();
if (!existsSync(house)) await buildHouse(FOLDER);
await must(process.execPath, [house, ...process.argv.slice(2)], settingsOf(FOLDER), {
  talks: true,
  speaks: true,
});
process.exit(0);
