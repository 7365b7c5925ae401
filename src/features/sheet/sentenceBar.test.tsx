/** @jest-environment jsdom */
import { useEffect, useState } from 'react';
import { retype, said, screen, show } from '../../../tests/support/screen';
import { choiceWith } from '../../../tests/support/sheets';
import { DEFAULT_STYLE, type PatternChoice } from '@/core';
import { WishBar } from './WishBar';

let newest: PatternChoice;
const remember = (choice: PatternChoice) => {
  newest = choice;
};

/** The sentence with a lesson behind it, which tells what it is now. */
function Lesson({ first, tell }: { first: PatternChoice; tell: (choice: PatternChoice) => void }) {
  const [choice, setChoice] = useState(first);
  useEffect(() => tell(choice), [choice, tell]);
  return <WishBar choice={choice} style={DEFAULT_STYLE} onChange={setChoice} />;
}

const open = (...wish: Parameters<typeof choiceWith>) =>
  show(<Lesson first={choiceWith(...wish)} tell={remember} />);
const params = () => newest.params as Record<string, unknown>;

describe.each(['single', 'strings', 'chain', 'rgb', 'dusk-controller'] as const)(
  'the sentence of %s',
  (pattern) => {
    it('keeps what is typed and cannot be read, says so, and changes nothing', async () => {
      const { user, container } = open(pattern);
      const before = newest;
      const typed = container.querySelectorAll('input:not([type=checkbox])');
      const names = [...typed].map((word) => word.getAttribute('aria-label')!);
      for (const name of names) {
        const field = (await retype(user, name, 'plenty')) as HTMLInputElement;
        expect(field.value).toBe('plenty');
        expect(field.getAttribute('aria-invalid')).toBe('true');
        expect(said(container)).toContain('plenty');
        await user.keyboard('{Escape}');
        expect(field.value).not.toBe('plenty');
      }
      expect(newest).toEqual(before);
    });
  },
);

describe('a program', () => {
  it('follows a lamp whose lead goes to another pin, and no other lamp', async () => {
    const { user } = open('sequence');
    await retype(user, 'Pin of lamp 1', '10');
    expect(params()['columns']).toEqual([10, 10, 11]);
    await retype(user, 'Pin of lamp 1', '6');
    expect(params()).toMatchObject({ columns: [6, 10, 11], lamps: [{ pin: 6 }, { pin: 10 }, { pin: 11 }] });
  });
});

describe('several lamps', () => {
  it('take another colour, more of one, and lose one again', async () => {
    const { user } = open('strings');
    await user.click(screen.getByRole('button', { name: '+ colour' }));
    await retype(user, 'Number of lamps 3', '4');
    await user.selectOptions(screen.getByLabelText('Lamp 3'), 'white');
    expect(params()['groups']).toContainEqual({ lamp: 'white', count: 4 });
    await user.click(screen.getByRole('button', { name: 'Without the white lamps' }));
    expect(params()['groups']).toHaveLength(2);
  });

  it('keep their supply’s figures when it is measured, and drop them when it is chosen by age', async () => {
    const { user } = open('strings');
    await user.selectOptions(screen.getByLabelText('Age of the supply'), 'measured');
    await retype(user, 'Measured volts', '8V6');
    await retype(user, 'Measured ohms', '2R5');
    expect(params()['supply']).toMatchObject({ measured: { volts: 8.6, ohms: 2.5 } });
    await user.selectOptions(screen.getByLabelText('Age of the supply'), 'tired');
    expect(params()['supply']).not.toHaveProperty('measured');
  });
});

describe('other lessons', () => {
  it('a gauge gains and loses rungs, each with its volts', async () => {
    const { user } = open('gauge');
    const rungs = () => params()['rungs'] as { volts: number }[];
    const count = rungs().length;
    await user.click(screen.getByRole('button', { name: '+ rung' }));
    expect(rungs()).toHaveLength(count + 1);
    await retype(user, 'Threshold 1', '9V5');
    expect(rungs()[0]!.volts).toBe(9.5);
    await user.click(screen.getByRole('button', { name: 'Without rung 1' }));
    expect(rungs()).toHaveLength(count);
  });

  it('a bench supply has volts and a limit, and mains is refused where it is typed', async () => {
    const { user, container } = open('hogging');
    await retype(user, 'Supply voltage', '230');
    expect(said(container)).toContain('230 V can only be mains');
    await retype(user, 'Supply voltage', '6');
    await retype(user, 'Current limit', '12m');
    expect(params()).toMatchObject({ volts: 6, limitAmps: 0.012 });
  });

  it('three colours are driven by resistors or by knobs', async () => {
    const { user } = open('rgb');
    await retype(user, 'Current of green', '3');
    expect(params()['amps']).toMatchObject({ green: 0.003 });
    await user.selectOptions(screen.getByLabelText('Drive'), 'potentiometer');
    const knob = screen.getByLabelText('Knob of blue') as HTMLSelectElement;
    await user.selectOptions(knob, knob.options[knob.options.length - 1]!.value);
    expect(params()['drive']).toBe('potentiometer');
    expect((params()['knobs'] as { blue: number }).blue).toBe(1);
  });
});
