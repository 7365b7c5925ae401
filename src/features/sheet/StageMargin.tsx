import { choiceOf, type Sheet } from '@/core';
import { familyWords } from '@/messages/families';
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
  const own = sheet?.sums.own;
  if (stage === 'sound') return own?.family === 'sound';
  return stage !== 'day' || (own !== undefined && familyWords(own).dayHeadline !== undefined);
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
  const { own } = sheet.sums;
  switch (stage) {
    case 'aim':
      return `${sheet.cautions.length} cautions`;
    case 'parts':
      return `${sheet.kit.lines.length} kinds`;
    case 'sums':
      return familyWords(own).headline(own, sheet.sums);
    case 'day':
      return familyWords(own).dayHeadline?.(own) ?? '';
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
