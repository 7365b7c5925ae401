import type { Instant, Sheet, SheetRequest } from '@/core';
import type { SheetSurroundings } from '@/server/lessonSheet';
import type { LessonContent } from '@/server/repositories/lessons';
import type { OwnWords } from '@/messages/glossary';
import type { CourseLesson, GivenSession, GroupChoice } from './given';
import type { Stage } from './StageMargin';
import { AimStage } from './stages/AimStage';
import { ChecksStage } from './stages/ChecksStage';
import { ClassStage } from './stages/ClassStage';
import { KitStage } from './stages/KitStage';
import { PartsStage } from './stages/PartsStage';
import { PlanStage } from './stages/PlanStage';
import { DayStage } from './day/DayStage';
import { SoundStage } from './sound/SoundStage';
import { TryStage } from './dryRun/TryStage';
import { StepsStage } from './stages/StepsStage';
import { SumsStage } from './sums/SumsStage';
import type { StepPlace } from './steps/useSteps';
import type { Trial } from './useTrial';

interface Props {
  readonly stage: Stage;
  readonly sheet: Sheet | undefined;
  /** Its bands are of few draws. */
  readonly rough: boolean;
  readonly content: LessonContent;
  readonly trial: Trial;
  readonly steps: StepPlace;
  readonly request: SheetRequest;
  readonly surroundings: SheetSurroundings;
  readonly lessonId: number;
  readonly course: readonly CourseLesson[];
  readonly words: OwnWords;
  readonly groups: readonly GroupChoice[];
  readonly sessions: readonly GivenSession[];
  readonly today: string;
  onContent(content: LessonContent): void;
  onPick(part: string | undefined): void;
  onLayOut(): void;
  onChoice(choice: LessonContent['choice']): void;
  /** The instant that is looked at, of a lesson that moves. */
  onInstant(instant: Instant | undefined): void;
}

/** The stage that is open. Aim and class stand without sums; the others wait for one that works. */
export function StageView(props: Props) {
  const { stage, sheet, content, trial, surroundings, lessonId } = props;
  const { style } = surroundings;
  if (stage === 'aim') {
    return (
      <AimStage
        {...{ content, sheet }}
        course={props.course}
        words={props.words}
        sheetHref={`/print/${lessonId}/sheet`}
        onChange={props.onContent}
      />
    );
  }
  if (stage === 'class') {
    return (
      <ClassStage lessonId={lessonId} groups={props.groups} sessions={props.sessions} today={props.today} />
    );
  }
  if (!sheet)
    return <p className="soft">As soon as the sentence above can be met, this stage fills itself in.</p>;
  switch (stage) {
    case 'parts':
      return <PartsStage sheet={sheet} style={style} shelf={surroundings.shelf} />;
    case 'sums':
      return (
        <SumsStage
          {...{ sheet, style }}
          choice={content.choice}
          title={content.title}
          level={content.level}
          onChoice={props.onChoice}
        />
      );
    case 'day':
      return (
        <DayStage sheet={sheet} request={props.request} title={content.title} onInstant={props.onInstant} />
      );
    case 'sound':
      return <SoundStage sheet={sheet} title={content.title} />;
    case 'plan':
      return (
        <PlanStage
          {...{ sheet, trial, style }}
          shelf={surroundings.shelf}
          title={content.title}
          kept={content.plan}
          onPick={props.onPick}
          onLayOut={props.onLayOut}
          choice={content.choice}
          onChoice={props.onChoice}
        />
      );
    case 'try':
      return <TryStage sheet={sheet} request={props.request} shelf={surroundings.shelf} style={style} />;
    case 'steps':
      return (
        <StepsStage
          sheet={sheet}
          title={content.title}
          printHref={`/print/${lessonId}/card`}
          at={props.steps.at}
          onAt={props.steps.go}
          onSingle={() => props.steps.show(true)}
        />
      );
    case 'checks':
      return <ChecksStage sheet={sheet} rough={props.rough} printHref={`/print/${lessonId}/checks`} />;
    case 'kit':
      return (
        <KitStage
          {...{ sheet, style }}
          request={props.request}
          groups={props.groups}
          nextGroup={props.sessions[0]?.groupId}
          csvHref={`/lessons/${lessonId}/kit.csv`}
          extras={content.extras}
          onExtras={(extras) => props.onContent({ ...content, extras })}
        />
      );
  }
}
