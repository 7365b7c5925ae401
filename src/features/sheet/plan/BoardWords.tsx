import {
  boardOf,
  BOARD_CHOICES,
  BOARDS,
  boundsOf,
  choiceOf,
  DEFAULT_BUILD,
  RAIL_HABITS,
  type HouseStyle,
  type PatternChoice,
  type Sheet,
} from '@/core';
import { counted } from '@/messages/grammar';
import { Choice } from '@/features/wish/Words';
import { BOARD_NAMES } from '@/messages/names';
import { leastWords, lengthWords } from '@/messages/lengths';
import { RAIL_WORDS } from '@/messages/schools';
import { solderWords } from '@/messages/soldering';

interface Props {
  readonly sheet: Sheet;
  readonly choice: PatternChoice;
  readonly style: HouseStyle;
  onChoice(choice: PatternChoice): void;
}

const METHODS: Readonly<Record<Sheet['method'], string>> = {
  kept: 'arranged by hand',
  lesson: 'placed in the order of the lesson',
  current: 'placed along the current',
  'most joined': 'placed from the most joined part on',
  tried: 'the best of several orders',
};

/** What no plan of this circuit on this board can do without, and how far this one is from it. */
function LeastWords({ sheet }: { sheet: Sheet }) {
  const { circuit, plan, quality } = sheet;
  const least = boundsOf(circuit, boardOf(plan));
  // By hand a leg may stand in a rail and save its wire.
  if (!least || least.wires === 0 || quality.jumpers < least.wires) return null;
  return (
    <p className="small-print">
      {leastWords(least, quality, boardOf(plan).copper === 'pads' ? 'pad' : 'row')}
    </p>
  );
}

/** Which board, how close, how it is held; and how good the plan is. */
export function BoardWords({ sheet, choice, style, onChoice }: Props) {
  const build = choice.build ?? DEFAULT_BUILD;
  const put = (change: Partial<typeof build>) => onChoice({ ...choice, build: { ...build, ...change } });
  const { copper, rails } = BOARDS[sheet.plan.board];
  const [plugged, railed] = [copper === 'rows', rails.length > 0];
  const { quality } = sheet;
  return (
    <section className="ruled">
      <h2>Built on</h2>
      <p className="sentence small-sentence">
        <Choice
          label="Board"
          value={build.board}
          names={BOARD_CHOICES.map((board) => [board, BOARD_NAMES[board]])}
          onChoose={(board) => put({ board })}
        />
        {build.board !== 'card' && (
          <>
            , parts of one string{' '}
            <Choice
              label="Spacing"
              value={build.spacing}
              names={[
                ['clear', 'in rows of their own'],
                ['compact', 'as close as they go'],
              ]}
              onChoose={(spacing) => put({ spacing })}
            />
            {railed && (
              <>
                , rails with{' '}
                <Choice
                  label="Rails"
                  value={build.rails ?? style.rails}
                  names={RAIL_HABITS.map((habit) => [habit, RAIL_WORDS[habit]])}
                  onChoose={(rails) => put({ rails })}
                />
              </>
            )}
            , held{' '}
            <Choice
              label="Board held"
              value={build.held}
              names={[
                ['upright', 'upright'],
                ['flat', plugged ? 'flat, row 1 at the left' : 'flat, hole 1 at the left'],
              ]}
              onChoose={(held) => put({ held })}
            />
          </>
        )}
        .
      </p>
      <p className="small-print">
        {counted(
          quality.jumpers,
          choiceOf(sheet.plan.board) === 'card' ? 'extra tape' : plugged ? 'jumper' : 'link',
        )}
        , {lengthWords(quality.wire * 2.54)} of wire, {quality.crossings} crossings
        {quality.cuts > 0 && `, ${quality.cuts} cuts`}
        {sheet.soldering.joints > 0 && `, ${solderWords(sheet.soldering)}`}: {METHODS[sheet.method]}.
      </p>
      <LeastWords sheet={sheet} />
    </section>
  );
}
