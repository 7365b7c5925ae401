import { CONTROLLERS, type ControllerId } from '../../catalogue/controllers';
import { nearestPin } from '../../program/pins';
import type { SequenceParams } from './params';

/** The table with another board: what was fully on is so again, and what was dimmed keeps its share. */
export function onBoard(params: SequenceParams, board: ControllerId): SequenceParams {
  const scale = CONTROLLERS[board].steps / CONTROLLERS[params.board].steps;
  const rows = params.rows.map((row) => ({
    ...row,
    steps: row.steps.map((step) => Math.round(step * scale)),
  }));
  return { ...params, board, rows };
}

/** With one lamp more, on the nearest pin that is free, and dark in every row. */
export function withLamp(params: SequenceParams): SequenceParams {
  const used = [...params.lamps.map(({ pin }) => pin), ...params.columns];
  const last = params.lamps[params.lamps.length - 1]!;
  const pin = nearestPin(CONTROLLERS[params.board], last.pin, used) ?? last.pin;
  return {
    ...params,
    lamps: [...params.lamps, { lamp: 'green', pin }],
    columns: [...params.columns, pin],
    rows: params.rows.map((row) => ({ ...row, steps: [...row.steps, 0] })),
  };
}

/** Without one of the lamps, and without its column of the table. */
export function withoutLamp(params: SequenceParams, i: number): SequenceParams {
  const left = <T>(list: readonly T[]) => list.filter((_, k) => k !== i);
  return {
    ...params,
    lamps: left(params.lamps),
    columns: left(params.columns),
    rows: params.rows.map((row) => ({ ...row, steps: left(row.steps) })),
  };
}

/** A lamp's lead moved to another pin takes its column of the table along. */
export function onPin(params: SequenceParams, i: number, pin: number): SequenceParams {
  const before = params.lamps[i]!.pin;
  return {
    ...params,
    lamps: params.lamps.map((lamp, k) => (k === i ? { ...lamp, pin } : lamp)),
    columns: params.columns.map((column, k) => (k === i && column === before ? pin : column)),
  };
}
