/** @jest-environment jsdom */
import { render } from '@testing-library/react';
import { ChipDrawing } from './OtherDrawings';
import { ThreeLegDrawing } from './SmallDrawings';

const PINS = ['ground', 'trigger', 'output', 'reset', 'control', 'threshold', 'discharge', 'supply'];

/** Legs of a chip upright on the board: 1 to 4 down the left, 8 to 5 down the right; turned round, the other way. */
function upright(turned: boolean) {
  const right = [...PINS.slice(4)].reverse();
  return PINS.map((pin) => {
    const left = PINS.indexOf(pin) < 4;
    const row = left ? PINS.indexOf(pin) : right.indexOf(pin);
    return {
      x: left === turned ? 60 : 0,
      y: 20 * (turned ? 3 - row : row),
    };
  });
}

function drawn(ends: readonly { x: number; y: number }[]) {
  const { container } = render(
    <svg>
      <ChipDrawing ends={ends} pins={PINS} label="U1" />
    </svg>,
  );
  const at = (name: string) => {
    const text = [...container.querySelectorAll('text')].find(({ textContent }) => textContent === name)!;
    return { x: Number(text.getAttribute('x')), y: Number(text.getAttribute('y')) };
  };
  const notch = container.querySelector('circle')!;
  return { at, notch: { x: Number(notch.getAttribute('cx')), y: Number(notch.getAttribute('cy')) } };
}

describe('a chip on the board', () => {
  it('has its notch over pins 1 and 8, and every pin’s number beside its own leg', () => {
    const { at, notch } = drawn(upright(false));
    expect(notch.y).toBeLessThan(at('1').y);
    expect(at('1').y).toBe(at('8').y);
    expect(at('1').x).toBeLessThan(at('8').x);
    for (const [first, next] of ['12', '23', '34', '87', '76', '65'])
      expect(at(next!).y).toBeGreaterThan(at(first!).y);
  });

  it('turned round, has it at the foot: what is drawn is how it lies', () => {
    const { at, notch } = drawn(upright(true));
    expect(notch.y).toBeGreaterThan(at('1').y);
    expect(at('1').x).toBeGreaterThan(at('8').x);
    expect(at('2').y).toBeLessThan(at('1').y);
  });

  it('on a board that lies flat, has it at the side', () => {
    const flat = upright(false).map(({ x, y }) => ({ x: y, y: -x }));
    const { at, notch } = drawn(flat);
    expect(notch.x).toBeLessThan(at('1').x);
    expect(at('1').x).toBe(at('8').x);
    expect(at('2').x).toBeGreaterThan(at('1').x);
  });
});

describe('a transistor on the board', () => {
  /** Which way its flat face looks, from the way that its outline is turned. */
  const faceOf = (leads: 'E-B-C' | 'C-B-E') => {
    const down = [0, 1, 2].map((i) => ({ x: 0, y: 20 * i }));
    const { container } = render(
      <svg>
        <ThreeLegDrawing ends={down} leads={leads} />
      </svg>,
    );
    const turned = Number(/rotate\((-?\d+)\)/u.exec(container.innerHTML)![1]);
    // The flat side is drawn below its middle: turned, it looks here.
    return Math.round(-Math.sin((turned * Math.PI) / 180));
  };

  it('shows its flat face to whoever sees its legs in the order of its type', () => {
    // Collector above, emitter below. Who stands at the right and looks left has the emitter at the left hand: E, B, C.
    expect(faceOf('E-B-C')).toBe(1);
    expect(faceOf('C-B-E')).toBe(-1);
  });
});
