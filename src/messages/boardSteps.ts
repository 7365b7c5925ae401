import { formatQuantity, isSource, type Sheet, type Step, sumsIn } from '@/core';
import { familyWords } from './families';
import { listed } from './grammar';
import { holeName } from './holes';
import { turnsWords } from './measuring';
import { mixName } from './mix';
import { boardLamps, pinPlaceWords, turnWords } from './program';
import type { StepWords } from './stepWords';

type Lead = Extract<Step, { action: 'connect-supply' }>;
type Send = Extract<Step, { action: 'send-program' }>;

/** Whether the lamps hang on the pins of a controller. */
export function onBoard({ sums }: Pick<Sheet, 'sums'>): boolean {
  return familyWords(sums.own).fedBy === 'pin';
}

/** The controller for a test of some lamps: which of its leads go where by then. */
export function boardWords(lit: readonly string[], { plan, circuit, sums }: Sheet): string {
  const placed = plan.placements.find(({ part }) => isSource(circuit, part));
  const pins = boardLamps({ sums }).filter(({ part }) => lit.includes(part));
  const leads = pins.flatMap(({ pin }) => {
    const at = placed?.legs[`pin ${pin}`];
    return at === undefined ? [] : [`pin ${pin} in ${holeName(at)}`];
  });
  const rail = placed?.legs['plus'];
  const rule = sumsIn(sums, 'rule')?.rule;
  const all = [
    `ground of the controller in ${holeName(placed?.legs['minus'] ?? '')}`,
    ...(rail === undefined ? [] : [`its rail in ${holeName(rail)}`]),
    ...leads,
    ...(rule ? readLead(rule.reads.pin, placed?.legs) : []),
  ];
  return `Put ${listed(all)}; then plug its cable in for a moment.`;
}

function leadWhy(pin: number, lamp: string | undefined, { sums }: Sheet): string {
  const rule = sumsIn(sums, 'rule')?.rule;
  if (rule?.reads.pin === pin) return `The program reads the light on ${rule.sensor} by it.`;
  return lamp ? `The program lights ${lamp} by it.` : 'The program does not name it.';
}

/** The lead of the pin that reads. */
function readLead(pin: number, legs: Readonly<Record<string, string>> | undefined): string[] {
  const at = legs?.[`pin ${pin}`];
  return at === undefined ? [] : [`pin ${pin} in ${holeName(at)}`];
}

/** A lead from the controller: its ground, its rail, or one of its pins. */
export function boardLead(step: Lead, sheet: Sheet): StepWords {
  const at = holeName(step.legs[0]!.hole);
  const number = /^pin (\d+)$/u.exec(step.pin)?.[1];
  if (number === undefined) {
    const rule = sumsIn(sheet.sums, 'rule')?.rule;
    const [name, colour] = step.pin === 'minus' ? ['ground', 'black'] : ['the rail', 'red'];
    return {
      title: `Put a ${colour} lead from ${name} of the controller in ${at}.`,
      detail: 'The controller’s cable is not plugged in yet.',
      cue: step.pin === 'minus' ? 'Ground first.' : 'It must touch nothing else.',
      why:
        step.pin === 'minus'
          ? 'All currents come back to it.'
          : `It stands at ${formatQuantity(sheet.sums.supplyFigures.volts, 'V')}: ${rule ? `${rule.sensor} hangs on it` : 'lamps hang between it and their pins'}.`,
    };
  }
  const lamp = boardLamps(sheet).find(({ pin }) => pin === Number(number));
  return {
    title: `Put a lead from pin ${number} of the controller in ${at}.`,
    detail: `It is ${pinPlaceWords(sheet, Number(number))}.`,
    cue: 'Count twice: one pin further, and another lamp lights.',
    why: leadWhy(Number(number), lamp?.part, sheet),
  };
}

/** The program, before anything hangs on the controller. */
export function programWords({ program }: Send, sheet: Sheet): StepWords {
  const { measuring } = sheet;
  if (program === 'lesson' && measuring)
    return {
      title: 'Send the controller the lesson’s own program.',
      detail: `Every lead stays in its place. ${lessonRuns(sheet)}`,
      cue: 'Every reading of the program for measuring taken?',
      why: 'What is timed, and what is a mean of pulses, is read while the lesson’s own program runs.',
    };
  const what = measuring ? 'the program for measuring' : 'its program';
  const turns = turnsAtLast(sheet);
  const runs =
    measuring && turns
      ? ` On the finished board it lights ${turnsWords(turns, measuring, sheet)}: time for every reading.`
      : '';
  return {
    title: `Send the controller ${what}, with nothing on its pins.`,
    detail: `Plug its cable in, send the program, and pull the cable out again. It keeps the program without power.${runs}`,
    cue: 'No lead in any pin yet?',
    why: 'Until it has this program its pins do what the last one said: nothing should hang on them then.',
  };
}

function turnsAtLast({ steps }: Sheet) {
  const last = steps.find((step) => step.action === 'gate' && step.at === 'after-power');
  return last?.action === 'gate' ? last.gate.turns : undefined;
}

/** What is seen once the lesson’s own program runs, as the board that is laid out makes it. */
function lessonRuns({ sums, built }: Sheet): string {
  const { own } = sums;
  if (own.family === 'program') return `The program runs: ${turnWords(built.lamps, own.program)}.`;
  // A mix is told as it was wished: of a board that makes another circuit nothing is said.
  return own.family === 'mix' && built.asWanted ? `The lamp shows ${mixName(own.mix)}.` : '';
}

/** The cable, when every lead is in. */
export function cableWords(_step: Step, sheet: Sheet): StepWords {
  return {
    title: 'Plug the controller’s cable in.',
    detail: 'From now on there is power. The program that was sent to it starts by itself.',
    cue: 'Every lead in its pin, counted from ground?',
    why: `The board feeds its pins: ${formatQuantity(sheet.sums.supplyFigures.volts, 'V')} at a high one.`,
  };
}
