/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { visited } from '../../tests/support/navigation';
import { retype, row, said, screen, show } from '../../tests/support/screen';
import { DEFAULT_METER, DEFAULT_STYLE } from '@/core';
import { TERMS } from '@/messages/glossary';
import type { Group } from '@/server/repositories/groups';
import type { SessionHead } from '@/server/repositories/sessions';
import {
  changeDay,
  changeStudent,
  enrol,
  letLeave,
  newGroup,
  putAwayGroup,
  putAwaySession,
  renameGroup,
} from './classes/actions';
import { GroupPage } from './classes/GroupPage';
import { NewGroup } from './classes/NewGroup';
import { keepWords } from './glossary/actions';
import { GlossaryForm } from './glossary/GlossaryForm';
import { importLesson, startLesson } from './lessons/actions';
import { NewLesson } from './lessons/NewLesson';
import { keepMeter, keepStyle } from './settings/actions';
import { MeterForm } from './settings/MeterForm';
import { StyleForm } from './settings/StyleForm';
import { tick } from './today/actions';
import { PackingList } from './today/PackingList';

jest.mock('next/navigation', () => jest.requireActual('../../tests/support/navigation'));
jest.mock('./settings/actions', () => ({ keepStyle: jest.fn(), keepMeter: jest.fn() }));
jest.mock('./glossary/actions', () => ({ keepWords: jest.fn() }));
jest.mock('./lessons/actions', () => ({ startLesson: jest.fn(), importLesson: jest.fn() }));
jest.mock('./today/actions', () => ({ tick: jest.fn() }));
jest.mock('./classes/actions', () => ({
  changeDay: jest.fn(),
  changeStudent: jest.fn(),
  enrol: jest.fn(),
  letLeave: jest.fn(),
  newGroup: jest.fn(),
  putAwayGroup: jest.fn(),
  putAwaySession: jest.fn(),
  renameGroup: jest.fn(),
}));

const done = <T,>(value: T) => ({ ok: true as const, value });
const refused = (message: string) => ({ ok: false as const, message });

beforeEach(() => {
  jest.clearAllMocks();
  visited.length = 0;
});

describe('the house style', () => {
  it('is kept whole, in the units of the core', async () => {
    jest.mocked(keepStyle).mockResolvedValue(done(5));
    const { user } = show(<StyleForm style={DEFAULT_STYLE} version={4} />);
    await retype(user, 'Design current', '8m');
    await user.selectOptions(screen.getByLabelText('After the sum, take'), 'nearest');
    await user.selectOptions(screen.getByLabelText('Lamps on the board lie'), 'either way');
    await user.selectOptions(screen.getByLabelText('Resistors with'), '5');
    await retype(user, 'Resistors stay below, % of their rating', '40');
    await retype(user, 'Risk of running out of a part, %', '2.5');
    await user.click(screen.getByRole('button', { name: 'Save the house style' }));
    await screen.findByText(/Every sheet follows it/u);
    expect(keepStyle).toHaveBeenCalledWith(4, {
      ...DEFAULT_STYLE,
      amps: 0.008,
      rounding: 'nearest',
      lamps: 'either way',
      bands: 5,
      ratingShare: 0.4,
      spareRisk: 0.025,
    });
  });

  it('is not kept with a current that is none; somebody else’s change is told', async () => {
    jest.mocked(keepStyle).mockResolvedValue(refused('Somebody saved the house style.'));
    const { user } = show(<StyleForm style={DEFAULT_STYLE} version={4} />);
    await retype(user, 'Design current', 'much');
    await user.click(screen.getByRole('button', { name: 'Save the house style' }));
    await waitFor(() => expect(said(document.querySelector('.note'))).toContain('much'));
    expect(keepStyle).not.toHaveBeenCalled();
    await retype(user, 'Design current', '10');
    await user.click(screen.getByRole('button', { name: 'Save the house style' }));
    await screen.findByText('Somebody saved the house style.');
  });
});

describe('a figure beyond what the house takes', () => {
  it('is told at once, with its name, and nothing is sent', async () => {
    const { user } = show(
      <>
        <StyleForm style={DEFAULT_STYLE} version={4} />
        <MeterForm meter={DEFAULT_METER} version={1} />
      </>,
    );
    const notes = () => [...document.querySelectorAll('.note')].map(said).join(' ');
    await retype(user, 'Risk of running out of a part, %', '90');
    await user.click(screen.getByRole('button', { name: 'Save the house style' }));
    await waitFor(() =>
      expect(notes()).toMatch(/The risk of running out must be at most 0\.5\. Nothing was saved\./u),
    );
    await retype(user, 'Counts of the display', '20');
    await user.click(screen.getByRole('button', { name: 'Save the meter' }));
    await waitFor(() =>
      expect(notes()).toMatch(/The counts of the display must be at least 199\. Nothing was saved\./u),
    );
    expect(keepStyle).not.toHaveBeenCalled();
    expect(keepMeter).not.toHaveBeenCalled();
  });
});

describe('the class meter', () => {
  it('is kept as its own sheet states it', async () => {
    jest.mocked(keepMeter).mockResolvedValue(done(2));
    const { user } = show(<MeterForm meter={DEFAULT_METER} version={1} />);
    await retype(user, 'Counts of the display', '6000');
    await retype(user, 'Volts: % of reading', '0.8');
    await user.click(screen.getByRole('button', { name: 'Save the meter' }));
    await waitFor(() => expect(keepMeter).toHaveBeenCalled());
    const [version, kept] = jest.mocked(keepMeter).mock.calls[0]!;
    expect(version).toBe(1);
    expect(kept).toMatchObject({ counts: 6000, volts: { share: 0.008 }, amps: DEFAULT_METER.amps });
  });
});

describe('the glossary', () => {
  it('takes own words for a term beside the two that it has', async () => {
    jest.mocked(keepWords).mockResolvedValue(done(3));
    const { user } = show(<GlossaryForm own={{ current: 'What flows.' }} version={2} />);
    expect(said(row(/^voltage/u))).toContain(TERMS.voltage.plain);
    expect(said(row(/^voltage/u))).toContain(TERMS.voltage.exact);
    expect(screen.getByLabelText('Your own words for current')).toHaveProperty('value', 'What flows.');
    await user.type(screen.getByLabelText('Your own words for voltage'), 'The push.');
    await user.click(screen.getByRole('button', { name: 'Save the words' }));
    await screen.findByText(/say it your way/u);
    const [version, words] = jest.mocked(keepWords).mock.calls[0]!;
    expect(version).toBe(2);
    expect(words).toMatchObject({ current: 'What flows.', voltage: 'The push.' });
  });
});

describe('a new lesson', () => {
  it('starts from the pattern that is chosen, and opens', async () => {
    jest.mocked(startLesson).mockResolvedValue(done(31));
    const { user } = show(<NewLesson signs={{}} />);
    await user.click(screen.getByRole('radio', { name: /^Dimmer/u }));
    await user.type(screen.getByLabelText('Title'), 'Mole lantern{Enter}');
    await waitFor(() => expect(visited).toEqual(['/lessons/31']));
    expect(startLesson).toHaveBeenCalledWith('dimmer', 'Mole lantern');
  });

  // The simulated browser's files cannot be read as text.
  const file = (text: string) =>
    Object.assign(new File([text], 'lesson.json', { type: 'application/json' }), { text: async () => text });

  it('comes in from a file, and says where the sender’s lamps differ', async () => {
    jest
      .mocked(importLesson)
      .mockResolvedValue(done({ id: 8, differences: ['The sender’s red lamp has 2.10 V.'] }));
    const { user } = show(<NewLesson signs={{}} />);
    await user.upload(screen.getByLabelText('Lesson file (JSON)'), file('{}'));
    await screen.findByText(/The sender’s red lamp has 2.10 V/u);
    await user.click(screen.getByRole('button', { name: 'Open it' }));
    expect(visited).toEqual(['/lessons/8']);
  });

  it('does not come in from a file that is none, or far too large', async () => {
    jest.mocked(importLesson).mockResolvedValue(refused('Nothing was imported.'));
    const { user } = show(<NewLesson signs={{}} />);
    await user.upload(screen.getByLabelText('Lesson file (JSON)'), file('no'));
    await screen.findByText('Nothing was imported.');
    await user.upload(screen.getByLabelText('Lesson file (JSON)'), file('x'.repeat(1024 * 1024 + 1)));
    await screen.findByText(/“lesson.json” holds more than 1 MiB/u);
    expect(importLesson).toHaveBeenCalledTimes(1);
  });
});

describe('packing', () => {
  const session = {
    id: 5,
    packed: ['jumper'],
    summary: {
      kit: [
        { key: 'jumper', spec: { kind: 'jumper' }, need: 30 },
        { key: 'resistor 330', spec: { kind: 'resistor', ohms: 330 }, need: 15 },
      ],
    },
  } as unknown as SessionHead;

  it('counts what is left, ticks and unticks', async () => {
    jest.mocked(tick).mockResolvedValue(done(1) as never);
    const { user } = show(<PackingList session={session} />);
    expect(screen.getByRole('heading').textContent).toBe('To pack: 1 of 2 kinds left');
    await user.click(screen.getByLabelText(/^resistor 330/u));
    expect(screen.getByRole('heading').textContent).toBe('To pack: 0 of 2 kinds left');
    await waitFor(() => expect(tick).toHaveBeenCalledWith(5, 'resistor 330', true));
    await user.click(screen.getByLabelText('jumper wire'));
    await waitFor(() => expect(tick).toHaveBeenLastCalledWith(5, 'jumper', false));
  });
});

describe('a group', () => {
  const group: Group = {
    id: 3,
    name: 'Tern',
    meets: 'at six',
    archivedAt: null,
    version: 7,
    students: [
      { id: 1, bench: 1, nickname: 'Wren', version: 1, archivedAt: null },
      { id: 2, bench: 2, nickname: 'Fenn', version: 1, archivedAt: '2026-11-01T00:00:00.000Z' },
    ],
  };
  const sessions = [
    { id: 9, title: 'Pier lamp', onDate: '2026-12-01', version: 2, archived: false },
    { id: 8, title: 'Quay string', onDate: '2026-11-01', version: 1, archived: true },
  ];
  const open = () => show(<GroupPage group={group} sessions={sessions} />);

  it('is made, and opened', async () => {
    jest.mocked(newGroup).mockResolvedValue(done(12));
    const { user } = show(<NewGroup />);
    await user.type(screen.getByLabelText('Name'), 'Dunlin');
    await user.type(screen.getByLabelText('Meets'), 'at four{Enter}');
    await waitFor(() => expect(visited).toContain('/classes/12'));
    expect(newGroup).toHaveBeenCalledWith('Dunlin', 'at four');
  });

  it('is renamed at the version that was read, and put away', async () => {
    jest.mocked(renameGroup).mockResolvedValue(refused('Somebody renamed it.'));
    jest.mocked(putAwayGroup).mockResolvedValue(done(null));
    const { user } = open();
    await retype(user, 'Name', 'Terns');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText('Somebody renamed it.');
    expect(renameGroup).toHaveBeenCalledWith(3, 7, { name: 'Terns', meets: 'at six' });
    await user.click(screen.getAllByRole('button', { name: 'Put away' })[0]!);
    await waitFor(() => expect(putAwayGroup).toHaveBeenCalledWith(3, true));
  });

  it('takes a list of students, and keeps a list that it refuses', async () => {
    jest.mocked(enrol).mockResolvedValueOnce(refused('Line 2: “Wren” is in this group.'));
    const { user } = open();
    const list = screen.getByLabelText(/One nickname a line/u);
    await user.type(list, 'Pim{Enter}Wren');
    await user.click(screen.getByRole('button', { name: 'Add them' }));
    await screen.findByText(/Line 2/u);
    expect(list).toHaveProperty('value', 'Pim\nWren');
    jest.mocked(enrol).mockResolvedValueOnce(done({ added: 2, note: '' }));
    await user.click(screen.getByRole('button', { name: 'Add them' }));
    await waitFor(() => expect(list).toHaveProperty('value', ''));
    expect(enrol).toHaveBeenLastCalledWith(3, 'Pim\nWren');
  });

  it('lets a student change, leave, and come back', async () => {
    jest.mocked(changeStudent).mockResolvedValueOnce(refused('Bench 4 is taken.'));
    jest.mocked(letLeave).mockResolvedValue(done(null));
    const { user } = open();
    await user.click(screen.getByRole('button', { name: 'Change Wren' }));
    await retype(user, 'Bench', '4');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText('Bench 4 is taken.');
    expect(changeStudent).toHaveBeenCalledWith(1, 1, { bench: 4, nickname: 'Wren' });
    await user.click(screen.getByRole('button', { name: 'Leaves the group' }));
    await waitFor(() => expect(letLeave).toHaveBeenCalledWith(1, true));
    await user.click(screen.getByRole('button', { name: 'comes back' }));
    await waitFor(() => expect(letLeave).toHaveBeenCalledWith(2, false));
  });

  it('moves a session to another day, and puts it away and out again', async () => {
    jest.mocked(changeDay).mockResolvedValue(done(3) as never);
    jest.mocked(putAwaySession).mockResolvedValue(done(null));
    const { user } = open();
    await retype(user, 'Day of Pier lamp', '2026-12-08');
    await user.click(screen.getByRole('button', { name: 'Move' }));
    await waitFor(() => expect(changeDay).toHaveBeenCalledWith(9, 2, '2026-12-08', false));
    await user.click(screen.getByRole('button', { name: 'Take out again' }));
    await waitFor(() => expect(putAwaySession).toHaveBeenCalledWith(8, false));
  });
});
