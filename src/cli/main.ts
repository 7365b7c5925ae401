import { Command, CommanderError } from 'commander';
import { bandsCommand } from './bands';
import { Exit } from './exit';
import { resistorCommand } from './resistor';
import { solveCommand } from './solve';
import { sweepCommand } from './sweep';

const program = new Command('core')
  .description('The computing core on circuit files (docs/formats/circuit.md). FILE - reads standard input.')
  .exitOverride()
  .showHelpAfterError(false)
  .configureOutput({ writeErr: (text) => process.stderr.write(text.replace(/^error: /u, '')) });
for (const add of [solveCommand, sweepCommand, bandsCommand, resistorCommand]) add(program);

try {
  program.parse();
} catch (error) {
  if (error instanceof Exit) {
    process.stderr.write(`${error.message}\n`);
    process.exitCode = error.code;
  } else if (error instanceof CommanderError) process.exitCode = error.exitCode === 0 ? 0 : 2;
  else throw error;
}
