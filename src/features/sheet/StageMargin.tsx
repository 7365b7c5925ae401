import { choiceOf, formatOhms, formatQuantity, type ChipTimes, type LessonSums, type Sheet } from '@/core';
import { mixName } from '@/messages/mix';
import { BOARD_SHORT } from '@/messages/names';
import type { GivenSession } from './given';
import { dayName } from '@/ui/dates';
import { StatusMark } from '@/ui/StatusMark';

export const STAGES = [
  'aim',
  'parts',
  'sums',
  'day',
  'sound',
  'plan',
  'try',
  'steps',
  'checks',
  'kit',
  'class',
] as const;
export type Stage = (typeof STAGES)[number];

export const STAGE_NAMES: Readonly<Record<Stage, string>> = {
  aim: 'Aim & cautions',
  parts: 'Parts',
  sums: 'Sums',
  day: 'Its day',
  sound: 'Its sound',
  plan: 'Plan',
  try: 'Dry run',
  steps: 'Steps',
  checks: 'Checks',
  kit: 'Kit',
  class: 'Class',
};

interface Props {
  readonly stage: Stage;
  readonly sheet: Sheet | undefined;
  readonly sessions: readonly GivenSession[];
  readonly trial: boolean;
  onStage(stage: Stage): void;
}

/** The left margin: the order of work, each stage with its headline figure. */
export function StageMargin({ stage, sheet, sessions, trial, onStage }: Props) {
  return (
    <nav className="stage-margin" aria-label="Stages of the lesson">
      {STAGES.filter((name) => hasStage(name, sheet)).map((name) => (
        <button
          key={name}
          type="button"
          className="stage"
          aria-current={name === stage ? 'step' : undefined}
          onClick={() => onStage(name)}
        >
          <span className="stage-name">
            {STAGE_NAMES[name]} {alarm(name, sheet, trial) && <StatusMark status="off" size={9} />}
          </span>
          <span className="stage-figure">{headline(name, sheet, sessions)}</span>
        </button>
      ))}
    </nav>
  );
}

/** Only what moves has a day, and only what listens has a sound. */
function hasStage(stage: Stage, sheet: Sheet | undefined): boolean {
  const { timing, pulses, program, sound } = sheet?.sums ?? {};
  if (stage === 'sound') return sound !== undefined;
  if (stage !== 'day') return true;
  return [timing, pulses, program].some((sums) => sums !== undefined);
}

function counted(count: number, name: string): string {
  return `${count} ${name}${count === 1 ? '' : 's'}`;
}

function alarm(stage: Stage, sheet: Sheet | undefined, trial: boolean): boolean {
  if (stage === 'kit') return sheet?.kit.lines.some((line) => line.short > 0) ?? false;
  return stage === 'plan' && trial;
}

function headline(stage: Stage, sheet: Sheet | undefined, sessions: readonly GivenSession[]): string {
  if (stage === 'class') {
    const next = sessions[0];
    return next ? `${next.groupName}, ${dayName(next.onDate)}` : 'no group yet';
  }
  if (!sheet) return '–';
  switch (stage) {
    case 'aim':
      return `${sheet.cautions.length} cautions`;
    case 'parts':
      return `${sheet.kit.lines.length} kinds`;
    case 'sums':
      return sumsHeadline(sheet.sums);
    case 'day':
      return dayHeadline(sheet.sums);
    case 'sound':
      return 'music, and what lights';
    case 'plan':
      return `${BOARD_SHORT[choiceOf(sheet.plan.board)]}, ${counted(sheet.plan.placements.length - 1, 'piece')}`;
    case 'try':
      return 'where nothing burns';
    case 'steps':
      return `${sheet.steps.length} steps, ${Math.round(sheet.minutes)} min`;
    case 'checks':
      return `${sheet.checkpoints.length} points`;
    case 'kit': {
      const spare = Math.max(...sheet.kit.lines.map((line) => line.spares));
      return `for ${sheet.kit.students}, up to ${spare} spare`;
    }
  }
}

const S = (seconds: number) => formatQuantity(seconds, 's', 2);

function sumsHeadline({
  timing,
  pulses,
  light,
  beam,
  loop,
  design,
  program,
  mix,
  sound,
}: LessonSums): string {
  if (sound)
    return `hub at ${formatQuantity(sound.stage.volts, 'V', 2)}, ${counted(sound.channels.length, 'channel')}`;
  if (mix) return mixName(mix);
  if (program)
    return `${counted(program.lamps.length, 'pin')}, ${formatQuantity(program.lamps[0]!.peak, 'A')}`;
  if (light?.switches.typical !== undefined)
    return `switches at ${formatQuantity(light.switches.typical, 'lx', 2)}`;
  if (beam?.switches.typical !== undefined)
    return `below ${formatQuantity(beam.switches.typical, 'lx', 2)} it sounds`;
  if (timing) return timeHeadline(timing[0]!);
  if (pulses) {
    const { peak, mean } = pulses.lampVolts;
    return `${formatQuantity(peak, 'V', 2)}, meter ${formatQuantity(mean, 'V', 2)}`;
  }
  const amps = formatQuantity(design.amps, 'A');
  return loop ? `${formatOhms(loop.chosen)} → ${amps}` : `${counted(design.lamps.length, 'lamp')}, ${amps}`;
}

function timeHeadline({ solved, values, hertz }: ChipTimes): string {
  if (hertz > 20) return `${formatOhms(values.r)} → ${formatQuantity(hertz, 'Hz')}`;
  return solved.low > 0 ? `${S(solved.high)} up, ${S(solved.low)} down` : `${S(solved.high)} up`;
}

function dayHeadline({ timing, pulses, program }: LessonSums): string {
  if (program) return `${counted(program.rows.length, 'row')}, ${formatQuantity(program.roundSeconds, 's')}`;
  if (pulses) return `once round ${formatQuantity(1 / pulses.hertz, 's', 3)}`;
  if (!timing) return '';
  const { high, low } = timing[0]!.solved;
  return low > 0 ? `${S(high + low)}, over and over` : `one press, ${S(high)}`;
}
