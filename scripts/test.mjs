// npm test: installs what is missing, Chromium included, and runs everything: formatting, lint, types, import
// rules, docs/validation.md, unit tests, the build, and the real interface. Closes with the totals on a line of their own.
// `npm test -- unit` or `-- e2e` runs only that part.
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { installChromium, installPackages, ROOT, say, tool } from './bootstrap.mjs';

const only = process.argv[2];
const out = path.join(ROOT, 'test-results');

installPackages();
if (only !== 'unit') installChromium();
rmSync(out, { recursive: true, force: true });
mkdirSync(out, { recursive: true });

let passed = 0;
let failed = 0;
/** What failed, by name: said again at the end, where it is looked for first. */
const names = [];

function noted(name, ok) {
  if (ok) passed++;
  else {
    failed++;
    names.push(name);
  }
  return ok;
}

/** Runs such checks two at a time, and shows what each said when it has ended. */
async function checks(list) {
  const left = [...list];
  const next = async () => {
    for (let one = left.shift(); one; one = left.shift()) {
      const [name, file, ...args] = one;
      const { ok, said } = await heard([tool(file), ...args]);
      say(name);
      process.stdout.write(said);
      noted(name, ok);
    }
  };
  await Promise.all([next(), next()]);
}

function heard(args) {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, args, { cwd: ROOT, env: environment() });
    const said = [];
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => said.push(chunk));
    child.on('close', (code) => resolve({ ok: code === 0, said: Buffer.concat(said).toString() }));
  });
}

function environment(more = {}) {
  return { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...more };
}

function run(args, env = {}) {
  const done = spawnSync(process.execPath, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: environment(env),
  });
  return done.status ?? 1;
}

function unit() {
  say('unit tests');
  const report = path.join(out, 'jest.json');
  const status = run([tool('jest/bin/jest.js'), '--json', `--outputFile=${report}`, '--silent']);
  const { numPassedTests, numFailedTests, numFailedTestSuites, testResults = [] } = readJson(report) ?? {};
  for (const { name, status: how, assertionResults } of testResults) {
    const which = assertionResults.filter((one) => one.status === 'failed').map(({ fullName }) => fullName);
    if (how === 'failed') names.push(`${path.relative(ROOT, name)}: ${which.join(' · ') || 'does not run'}`);
  }
  passed += numPassedTests ?? 0;
  failed += Math.max(numFailedTests ?? 0, numFailedTestSuites ?? 0, status === 0 ? 0 : 1);
}

function interfaceTests() {
  say('the real interface');
  const report = path.join(out, 'playwright.json');
  const status = run([tool('@playwright/test/cli.js'), 'test'], { PLAYWRIGHT_JSON_OUTPUT_NAME: report });
  const { expected, flaky, unexpected } = readJson(report)?.stats ?? {};
  passed += (expected ?? 0) + (flaky ?? 0);
  failed += Math.max(unexpected ?? 0, status === 0 ? 0 : 1);
}

function readJson(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return undefined;
  }
}

if (only !== 'e2e') {
  await checks([
    ['lint', 'eslint/bin/eslint.js', '.'],
    ['formatting', 'prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.'],
    ['types of the core', 'typescript/bin/tsc', '-p', 'src/core'],
    ['types', 'typescript/bin/tsc', '-p', '.'],
    ['import rules', 'dependency-cruiser/bin/dependency-cruise.mjs', 'src', 'bench'],
    ['validation', 'tsx/dist/cli.mjs', 'scripts/validation.ts'],
  ]);
  unit();
}
if (
  only !== 'unit' &&
  noted('build', run([path.join(ROOT, 'scripts', 'build.mjs')], { MIVVET_BUILD: '.next-test' }) === 0)
)
  interfaceTests();

if (names.length > 0) console.log(`\nFailed:\n${names.map((name) => `- ${name}`).join('\n')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
