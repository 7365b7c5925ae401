import { Command, CommanderError } from 'commander';
import { batteryCommand } from './battery';
import { bandsCommand } from './bands';
import { checkCommand } from './check';
import { Exit } from './exit';
import { faultsCommand } from './faults';
import { gaugeCommand } from './gauge';
import { lessonCommand } from './lesson';
import { resistorCommand } from './resistor';
import { runCommand } from './run';
import { seekCommand } from './seek';
import { solveCommand } from './solve';
import { sweepCommand } from './sweep';
import { timingCommand } from './timing';
import { trimCommand } from './trim';

const program = new Command('core')
  .description('The computing core on circuit and lesson files (docs/formats). FILE - reads standard input.')
  .exitOverride()
  .showHelpAfterError(false)
  .configureOutput({ writeErr: (text) => process.stderr.write(text.replace(/^error: /u, '')) });
const commands = [
  solveCommand,
  sweepCommand,
  runCommand,
  bandsCommand,
  resistorCommand,
  seekCommand,
  timingCommand,
  trimCommand,
  gaugeCommand,
  batteryCommand,
  lessonCommand,
  faultsCommand,
  checkCommand,
];
for (const add of commands) add(program);

try {
  program.parse();
} catch (error) {
  if (error instanceof Exit) {
    process.stderr.write(`${error.message}\n`);
    process.exitCode = error.code;
  } else if (error instanceof CommanderError) process.exitCode = error.exitCode === 0 ? 0 : 2;
  else throw error;
}
