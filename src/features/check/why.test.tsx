/** @jest-environment jsdom */
import { row, said, screen, show, within } from '../../../tests/support/screen';
import { expectationWith, ROWS_ONLY } from '../../../tests/support/sheets';
import { judgeBench, mistakesIn, type Noted, type SeenLook } from '@/core';
import { CauseWords } from './CauseWords';
import { ClassFindings } from './ClassFindings';
import { FoundMenu, possibleCauses } from './FoundMenu';
import { Why } from './Why';

const expectation = expectationWith({}, ROWS_ONLY);
const { points } = expectation.expected;
const judgedPoints = expectation.dictionary.points;
const students = ['Wren', 'Fenn', 'Pim', 'Oda'].map((nickname, i) => ({
  id: 10 + i,
  bench: i + 1,
  nickname,
}));
const volts = (point: string, value: number): Noted => ({ point, value, step: 0.01 });
const amps = (value: number): Noted => ({ point: 'current', value, step: 1e-5 });
const judge = (noted: readonly Noted[], looks: readonly SeenLook[] = []) =>
  judgeBench(expectation, noted, looks);

/** A lamp turned round: nothing flows, and the whole pack stands across it. */
const TURNED = [volts('pack', 4.8), volts('R1', 0), volts('D1', 4.8)];
const WRONG_OHMS = [volts('pack', 4.8), volts('R1', 3.03), volts('D1', 1.77), amps(0.00092)];

function why(noted: readonly Noted[], seen?: string) {
  const judged = judge(noted, seen ? [{ lamp: 'D1', word: 'dark' }] : []);
  const values = Object.fromEntries(noted.map(({ point, value }) => [point, value]));
  const hide = jest.fn();
  const { user } = show(
    <Why
      title="Bench 3, Pim"
      judged={judged}
      points={points}
      judgedPoints={judgedPoints}
      values={values}
      seen={seen}
      onHide={hide}
    />,
  );
  return { judged, user, hide };
}

describe('why a bench stands as it does', () => {
  it('shows what was read beside what a right build and each candidate would read', () => {
    const { judged } = why(WRONG_OHMS);
    expect(judged.state).toBe('off');
    expect(said(row(/^read here/u))).toMatch(/3\.03.*0\.92/u);
    const right = said(row(/^a right build/u));
    const band = points.find(({ id }) => id === 'current')!;
    expect(right).toContain(`${(band.low * 1e3).toPrecision(3)} to ${(band.high * 1e3).toPrecision(3)}`);
    const first = row(/^A /u);
    expect(said(first)).toContain('R1 is 3.3 kΩ, not 330 Ω');
    // By hand: 3.03 V over 3.3 kΩ is 0.92 mA, and that is what this candidate reads.
    const current = within(first).getAllByRole('cell').at(-1)!;
    expect(Number(/^[\d.]+/u.exec(said(current))![0])).toBeCloseTo(0.92, 1);
    expect(within(first).queryByText('speaks against it')).toBeNull();
  });

  it('marks the readings that speak against a candidate, and has room for something else', () => {
    const { judged } = why(TURNED, 'D1 dark');
    const groups = judged.diagnosis!.groups;
    expect(groups.flatMap(({ causes }) => causes.map(({ code }) => code))).toContain('lamp-reversed');
    expect(said(row(/^read here/u))).toContain('D1 dark');
    // A candidate that agrees in nothing is not named at all.
    for (const group of groups) expect(group.probability).toBeGreaterThan(0.005);
    expect(screen.getByText(/any figure that no candidate shows/u)).toBeTruthy();
  });

  it('says what each outcome of the next measurement would mean, with chances that come to one', async () => {
    const { judged, user, hide } = why([volts('R1', 0)]);
    const outcomes = judged.next!.outcomes!;
    expect(outcomes.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 1);
    expect(screen.getByText(/of what is still in question it leaves about \d+/u)).toBeTruthy();
    const tables = screen.getAllByRole('table');
    expect(within(tables[1]!).getAllByRole('row')).toHaveLength(outcomes.length + 1);
    await user.click(screen.getByRole('button', { name: 'Close' }));
    expect(hide).toHaveBeenCalled();
  });
});

describe('the words at the end of a row', () => {
  const words = (noted: readonly Noted[], seen?: string) => {
    const looks: SeenLook[] = seen ? [{ lamp: 'D1', word: 'dim' }] : [];
    const { container } = show(
      <CauseWords judged={judge(noted, looks)} points={points} judgedPoints={judgedPoints} seen={seen} />,
    );
    return said(container);
  };

  it('name the likeliest cause with how sure it is, and what is next', () => {
    expect(words(WRONG_OHMS)).toMatch(/^R1 is 3\.3 kΩ, not 330 Ω(?:over 99 %|\d\d %)/u);
    expect(words([volts('R1', 0)])).toMatch(/next: /u);
  });

  it('of a bench that is right so far say only what is left', () => {
    const right = words([volts('R1', 2.92)]);
    expect(right).toMatch(/^next: measure the current/u);
    expect(right).not.toContain('%');
  });

  it('of a close call say what speaks for it: a lamp that looks odd', () => {
    const close = words([volts('pack', 4.85), volts('R1', 2.95), volts('D1', 1.88)], 'D1 dim');
    expect(close).toContain('Close call');
    expect(close).toContain('the lamps do not look as planned (D1 dim)');
    expect(close).not.toContain('perhaps As planned');
  });
});

describe('what was found', () => {
  const menu = (noted: readonly Noted[], found: Parameters<typeof FoundMenu>[0]['found'] = []) => {
    const [onFound, onNotFound] = [jest.fn(), jest.fn()];
    const { user } = show(
      <FoundMenu
        bench={2}
        causes={possibleCauses(judge(noted))}
        mistakes={mistakesIn(expectation)}
        points={judgedPoints}
        found={found}
        onFound={onFound}
        onNotFound={onNotFound}
      />,
    );
    return { user, onFound, onNotFound };
  };

  it('is chosen among causes that nothing tells apart', async () => {
    const { user, onFound } = menu(TURNED);
    await user.click(screen.getByRole('button', { name: 'Bench 2: it was …' }));
    await user.click(screen.getByRole('button', { name: 'D1 the wrong way round' }));
    expect(onFound.mock.calls[0]![0]).toMatchObject({ code: 'lamp-reversed', data: { part: 'D1' } });
  });

  it('is any mistake of the lesson by its part, whatever the program thinks likely', async () => {
    const { user, onFound } = menu(TURNED);
    await user.click(screen.getByRole('button', { name: 'Bench 2: it was …' }));
    await user.click(screen.getByRole('button', { name: /^another mistake/u }));
    const dialog = await screen.findByRole('dialog');
    await user.selectOptions(within(dialog).getByLabelText('At'), 'R1');
    await user.click(within(dialog).getByRole('button', { name: /^R1 is 3\.3\s*kΩ/u }));
    expect(onFound.mock.calls[0]![0]).toMatchObject({
      code: 'wrong-resistor',
      data: { part: 'R1', ohms: 3300 },
    });
  });

  it('is said in one’s own words where the lesson knows nothing like it', async () => {
    const { user, onFound } = menu(TURNED);
    await user.click(screen.getByRole('button', { name: 'Bench 2: it was …' }));
    await user.click(screen.getByRole('button', { name: /^another mistake/u }));
    const dialog = await screen.findByRole('dialog');
    const own = within(dialog).getByRole('button', { name: 'It was this' });
    expect(own).toHaveProperty('disabled', true);
    await user.type(within(dialog).getByLabelText('or in your own words'), 'the plug was loose');
    await user.click(own);
    expect(onFound).toHaveBeenCalledWith({ code: 'something-else', data: {} }, 'the plug was loose');
  });

  it('stands there with a way to take it back', async () => {
    const found = [{ id: 5, studentId: 11, words: 'D1 the wrong way round', after: 3 }];
    const { user, onNotFound } = menu(TURNED, found);
    await user.click(screen.getByRole('button', { name: /take back that D1 the wrong way round/u }));
    expect(onNotFound).toHaveBeenCalledWith(5);
  });

  it('is not asked of a bench that is right', () => {
    expect(possibleCauses(judge([volts('R1', 2.92), amps(0.00885)]))).toEqual([]);
    expect(possibleCauses(undefined)).toEqual([]);
  });
});

describe('what holds for the class', () => {
  it('is offered once where several benches show the same, with who they are', () => {
    const judged = [TURNED, WRONG_OHMS, WRONG_OHMS, WRONG_OHMS].map((noted) => judge(noted));
    show(<ClassFindings expectation={expectation} students={students} judged={judged} />);
    const note = said(screen.getByRole('note'));
    expect(note).toContain('3 benches show the same, 2, 3 and 4');
    expect(note).toContain('R1 is 3.3 kΩ, not 330 Ω');
  });

  it('is not made of benches that have nothing in common', () => {
    const judged = [TURNED, WRONG_OHMS].map((noted) => judge(noted));
    show(<ClassFindings expectation={expectation} students={students} judged={judged} />);
    expect(screen.queryByRole('note')).toBeNull();
  });

  it('has the fewest checkpoints that catch most, and what each one risks', async () => {
    const { user } = show(<ClassFindings expectation={expectation} students={students} judged={[]} />);
    expect(said(screen.getByText(/^Worth measuring/u).closest('p'))).toMatch(/Together they catch \d+ %/u);
    await user.click(screen.getByRole('button', { name: 'What each one risks' }));
    const table = said(screen.getByRole('table'));
    for (const name of ['Pack under load', 'Across R1', 'Across D1', 'Current'])
      expect(table).toContain(name);
    const risks = within(screen.getByRole('table'))
      .getAllByRole('row')
      .slice(1)
      .map((one) => said(one));
    expect(risks).toHaveLength(points.length);
    await user.click(screen.getByRole('button', { name: 'Hide the risks' }));
    expect(screen.queryByRole('table')).toBeNull();
  });
});
