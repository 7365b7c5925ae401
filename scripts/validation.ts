// Writes docs/validation.md: every comparison of the core with a formula, and its error. Part of npm test.
import { writeFileSync } from 'node:fs';
import { CHAPTERS } from '../tests/validation/cases';
import { errorOf, type Case } from '../tests/validation/case';

/** Errors to one digit, and rounding as such, so that the page is the same on every machine. */
function errorText(error: number): string {
  return error < 1e-9 ? 'below 1e-9' : error.toExponential(0);
}

function row(c: Case): string {
  const { name, quantity, reference, expected, found } = c;
  const figures = [expected, found].map((value) => value.toPrecision(6));
  return `| ${[name, quantity, reference, ...figures, errorText(errorOf(c)), c.allowed.toExponential(0)].join(' | ')} |`;
}

const chapters = Object.entries(CHAPTERS).map(([title, cases]) => {
  const made = cases();
  const wrong = made.filter((c) => !(errorOf(c) <= c.allowed));
  for (const c of wrong) console.error(`${c.name}: ${c.quantity} is ${c.found}, not ${c.expected}`);
  if (wrong.length > 0) process.exitCode = 1;
  return `## ${title}

| circuit | quantity | reference | expected | the core | relative error | allowed |
| --- | --- | --- | --- | --- | --- | --- |
${made.map(row).join('\n')}
`;
});

writeFileSync(
  'docs/validation.md',
  `# Validation

The core beside figures that come from elsewhere: closed forms, and equations solved by bisection. This page is written
by \`scripts/validation.ts\` in \`npm test\`, which fails when an error is larger than allowed. The cases stand in
\`tests/validation/\`.

${chapters.join('\n')}`,
);
