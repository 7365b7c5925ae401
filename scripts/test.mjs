// npm test: installs what is missing, Chromium included, and runs everything: formatting, lint, types, import
// rules, docs/validation.md, unit tests, the build, and the real interface. Closes with the totals on a line of their own.
// `npm test -- unit` or `-- e2e` runs only that part.
import { spawnSync } from 'node:child_process';
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

/** Runs one check that passes or fails as a whole. */
function check(name, file, ...args) {
  say(name);
  const ok = run([tool(file), ...args]) === 0;
  if (ok) passed++;
  else {
    failed++;
    names.push(name);
  }
  return ok;
}

function run(args, env = {}) {
  const done = spawnSync(process.execPath, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
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
  check('formatting', 'prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.');
  check('lint', 'eslint/bin/eslint.js', '.');
  check('types of the core', 'typescript/bin/tsc', '-p', 'src/core');
  check('types', 'typescript/bin/tsc', '-p', '.');
  check('import rules', 'dependency-cruiser/bin/dependency-cruise.mjs', 'src', 'bench');
  check('validation', 'tsx/dist/cli.mjs', 'scripts/validation.ts');
  unit();
}
if (only !== 'unit' && check('build', 'next/dist/bin/next', 'build')) interfaceTests();

if (names.length > 0) console.log(`\nFailed:\n${names.map((name) => `- ${name}`).join('\n')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
