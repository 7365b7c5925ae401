import type { Command } from 'commander';
import { solve } from '@/core';
import { print, valueOf } from './exit';
import { readCircuit } from './input';

export function solveCommand(program: Command): void {
  program
    .command('solve')
    .description('node volts, and volts, amps and watts of every part')
    .argument('<file>', 'circuit file, - for standard input')
    .action((file: string) => {
      const { nodes, parts, also } = valueOf(solve(readCircuit(file)));
      print({ nodes, parts, ...(also ? { alsoStable: true } : {}) });
    });
}
