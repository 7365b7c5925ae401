// npm test: installs what is missing, Chromium included, and runs everything: formatting, lint, types, import
// rules, exports that nobody uses, docs/validation.md, unit tests, the build, and the real interface. Closes with the totals on a line of their own.
// `npm test -- unit` or `-- e2e` runs only that part.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { installChromium, installPackages, tool } from './bootstrap.mjs';
import { ran, ROOT, say } from './processes.mjs';
import { needsNode } from './ready.mjs';

const only = process.argv[2];
const out = path.join(ROOT, 'test-results');

needsNode();
await installPackages('all');
if (only !== 'unit') await installChromium();
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

async function heard(args) {
  const { code, said } = await ran(process.execPath, args, environment(), { stdio: 'pipe' });
  return { ok: code === 0, said };
}

function environment(more = {}) {
  return { NEXT_TELEMETRY_DISABLED: '1', ...more };
}

async function run(args, env = {}) {
  return (await ran(process.execPath, args, environment(env))).code;
}

async function unit() {
  say('unit tests');
  const report = path.join(out, 'jest.json');
  const status = await run([tool('jest/bin/jest.js'), '--json', `--outputFile=${report}`, '--silent']);
  const { numPassedTests, numFailedTests, numFailedTestSuites, testResults = [] } = readJson(report) ?? {};
  for (const { name, status: how, assertionResults } of testResults) {
    const which = assertionResults.filter((one) => one.status === 'failed').map(({ fullName }) => fullName);
    if (how === 'failed') names.push(`${path.relative(ROOT, name)}: ${which.join(' · ') || 'does not run'}`);
  }
  passed += numPassedTests ?? 0;
  failed += Math.max(numFailedTests ?? 0, numFailedTestSuites ?? 0, status === 0 ? 0 : 1);
}

async function interfaceTests() {
  say('the real interface');
  const report = path.join(out, 'playwright.json');
  const status = await run([tool('@playwright/test/cli.js'), 'test'], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: report,
  });
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
    ['exports', 'knip/bin/knip.js', '--include', 'exports,types,files', '--no-config-hints'],
    ['validation', 'tsx/dist/cli.mjs', 'scripts/validation.ts'],
  ]);
  await unit();
}
if (
  only !== 'unit' &&
  noted('build', (await run([path.join(ROOT, 'scripts', 'build.mjs')], { MIVVET_BUILD: '.next-test' })) === 0)
)
  await interfaceTests();

if (names.length > 0) console.log(`\nFailed:\n${names.map((name) => `- ${name}`).join('\n')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
