import type { Command } from 'commander';
import { circuitFile, everyFault, faultContext } from '@/core';
import { print } from './exit';
import { lessonOptions } from './lesson';
import { lessonRequest, sheetOf, type LessonOptions } from './lessonFile';

export function faultsCommand(program: Command): void {
  lessonOptions(
    program
      .command('faults')
      .description('every mistake that a check of this lesson weighs, as the circuit it makes')
      .argument('<file>', 'lesson file, - for standard input'),
  ).action((file: string, options: LessonOptions) => {
    const request = lessonRequest(file, options);
    const faults = everyFault(faultContext(sheetOf(request), request));
    print(
      faults.map(({ code, data, use, circuit, prior }) => ({
        ...data,
        code,
        part: data.part,
        other: data.other,
        prior,
        ...(use === 'right' ? {} : { meter: use }),
        circuit: circuitFile(circuit),
      })),
    );
  });
}
