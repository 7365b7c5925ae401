import type { Command } from 'commander';
import {
  judgeBench,
  measuredAt,
  noteReading,
  SEEN_WORDS,
  sessionExpectation,
  sessionSignatures,
  type JudgedBench,
  type Noted,
  type SeenLook,
  type SessionExpectation,
} from '@/core';
import { Exit, print, valueOf } from './exit';
import { oneOf } from './input';
import { lessonOptions } from './lesson';
import { progressOf } from './progress';
import { lessonRequest, sheetOf, type LessonOptions } from './lessonFile';

interface Options extends LessonOptions {
  reading: string[];
  seen: string[];
}

export function checkCommand(program: Command): void {
  lessonOptions(
    program
      .command('check')
      .description('the verdict on one bench, with the likeliest causes and what to measure next')
      .argument('<file>', 'lesson file, - for standard input'),
  )
    .option(
      '--reading <id=value...>',
      'a figure as it was read: R1=2.71, current=8.6mA; bare ones in V, A, Hz, s',
      [],
    )
    .option('--seen <id=word...>', `how a lamp looks: ${SEEN_WORDS.join(', ')}`, [])
    .action((file: string, options: Options) => {
      const request = lessonRequest(file, options);
      const sheet = sheetOf(request);
      const signed = sessionSignatures(sheet, request, undefined, progressOf('mistakes'));
      const session = sessionExpectation(sheet, request, [signed]);
      const noted = options.reading.map((text) => notedFrom(session, text));
      const lamps = sheet.circuit.parts.filter(({ kind }) => kind === 'led').map(({ id }) => id);
      print(
        checkJson(
          session,
          judgeBench(
            session,
            noted,
            options.seen.map((text) => lookFrom(lamps, text)),
          ),
        ),
      );
    });
}

function checkJson(
  { expected }: SessionExpectation,
  { state, tired, risk, verdicts, diagnosis }: JudgedBench,
) {
  const found = Object.entries(verdicts).map(([id, { verdict, uncertainty }]) => {
    const { low, high } = expected.points.find((point) => point.id === id)!;
    return [id, { verdict, low, high, uncertainty }];
  });
  const causes = (diagnosis?.groups ?? []).map(({ causes: [first, ...alike], probability }) => ({
    ...first?.data,
    code: first?.code,
    part: first?.data.part,
    other: first?.data.other,
    probability,
    alike: alike.map(({ code, data }) => ({ ...data, code })),
  }));
  const next = diagnosis?.next;
  return {
    state,
    ...(tired ? { tired } : {}),
    risk,
    verdicts: Object.fromEntries(found) as object,
    causes,
    ...(next ? { next: { id: next.point, bits: next.bits } } : {}),
  };
}

function notedFrom({ dictionary }: SessionExpectation, text: string): Noted {
  const [id, typed] = pair('reading', text);
  const point = dictionary.points.find((one) => one.id === id);
  if (!point) {
    const known = dictionary.points.map((one) => one.id).join(', ');
    throw new Exit(2, `--reading: there is no checkpoint “${id}”; there are ${known}.`);
  }
  const measured = measuredAt(point);
  // On the command line a bare figure is in base units, as all figures are that it prints.
  const figure = measured === 'amps' && /\d\s*$/u.test(typed) ? `${typed} A` : typed;
  return { point: id, ...valueOf(noteReading(figure, measured)) };
}

function lookFrom(lamps: readonly string[], text: string): SeenLook {
  const [lamp, word] = pair('seen', text);
  if (!lamps.includes(lamp))
    throw new Exit(2, `--seen: there is no lamp “${lamp}”; there are ${lamps.join(', ')}.`);
  return { lamp, word: oneOf('seen', word, SEEN_WORDS) };
}

function pair(name: string, text: string): [string, string] {
  const at = text.indexOf('=');
  if (at < 1) throw new Exit(2, `--${name} “${text}” must be ID=VALUE.`);
  return [text.slice(0, at), text.slice(at + 1)];
}
