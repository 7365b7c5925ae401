import { asBuilt, type AsBuilt } from '../board/asBuilt';
import { choiceOf } from '../board/boards';
import type { Method } from '../board/layout/attempts';
import { layOut } from '../board/layout/layOut';
import { qualityOf, type Quality } from '../board/layout/score';
import { makesWanted } from '../board/makesWanted';
import type { JumperColour, Plan } from '../board/plan';
import type { LampType } from '../catalogue/lamps';
import { accepted, type Outcome } from '../findings/finding';
import { patternOf } from '../patterns/index';
import type { Design } from '../patterns/pattern';
import type { Build } from './choice';
import type { SheetRequest } from './request';

/** The jumper that goes with each lamp, among the colours that jumpers come in. */
const LAMP_WIRES: Readonly<Record<LampType, JumperColour>> = {
  infrared: 'black',
  red: 'red',
  orange: 'yellow',
  yellow: 'yellow',
  'yellow-green': 'green',
  green: 'green',
  blue: 'blue',
  white: 'green',
  violet: 'blue',
};

/** A plan as it was laid out before, and what it hung on. */
export interface EarlierPlan {
  readonly plan: Plan;
  readonly method: Method;
  readonly layoutKey: string;
}

/** What is to be laid out, and in what its lamps are looked at. */
type Wanted = Pick<Design, 'circuit' | 'sorts' | 'shows'>;

/** A plan that has been read back, and where it comes from. */
export interface Planned {
  readonly plan: Plan;
  readonly built: AsBuilt;
  readonly planKept: boolean;
  readonly quality: Quality;
  readonly method: Method | 'kept';
  readonly layoutKey: string;
}

/**
 * The plan kept by hand while it makes the wanted circuit; else the one laid out before, while nothing that it hung
 * on has changed but values; else one laid out anew around what was fixed by hand.
 */
export function planFor(wanted: Wanted, request: SheetRequest, build: Build): Outcome<Planned> {
  const { circuit, sorts } = wanted;
  const { plan: kept, earlier } = request;
  const wish = {
    board: build.board,
    wires: request.style.wires,
    lampWires:
      request.style.wires === 'as the lamp'
        ? Object.fromEntries(Object.entries(sorts).map(([id, type]) => [id, LAMP_WIRES[type]]))
        : undefined,
    spacing: build.spacing,
    rails: build.rails ?? request.style.rails,
    lamps: request.style.lamps,
    perBand: patternOf(request.choice.pattern).perBand?.(request.choice.params),
  };
  const sameBoard = kept !== undefined && choiceOf(kept.board) === build.board;
  const keep = sameBoard ? kept.placements.filter((p) => p.fixed && !p.standIn) : [];
  const layoutKey = JSON.stringify([wish, keep]);
  if (sameBoard) {
    const built = stillRight(kept, wanted);
    const quality = qualityOf(kept);
    if (built) return accepted({ plan: kept, built, planKept: true, quality, method: 'kept', layoutKey });
  }
  if (earlier?.layoutKey === layoutKey) {
    const { plan, method } = earlier;
    const built = stillRight(plan, wanted);
    if (built) return accepted({ plan, built, planKept: false, quality: qualityOf(plan), method, layoutKey });
  }
  const around = layOut({ circuit, ...wish, keep });
  // Where what was fixed leaves no room for the rest, all of it is laid out anew.
  const outcome = around.ok || keep.length === 0 ? around : layOut({ circuit, ...wish });
  if (!outcome.ok) return outcome;
  const { plan, quality, method } = outcome.value;
  return accepted({
    plan,
    built: asBuilt(plan, circuit, wanted.shows),
    planKept: false,
    quality,
    method,
    layoutKey,
  });
}

/** What a plan makes, if it still makes the wanted circuit. */
function stillRight(plan: Plan, { circuit, shows }: Wanted): AsBuilt | undefined {
  return makesWanted(plan, circuit) ? asBuilt(plan, circuit, shows) : undefined;
}
