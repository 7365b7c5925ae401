import { message, value } from '../../tests/support/answers';
import { ownDatabase } from '../../tests/support/database';
import { TERMS, WORDING_MOST } from '@/messages/glossary';
import { batteries } from '@/server/repositories/batteries';
import { glossary } from '@/server/repositories/settings';
import { keepWords } from './glossary/actions';
import { contentOf, lesson } from '@/server/repositories/lessons';
import { keepLesson } from './sheet/actions';
import { startLesson } from './lessons/actions';
import { keepBattery, putAwayBattery } from './store/actions';

ownDatabase();

describe('own words', () => {
  it('are kept where there are any, and taken back by leaving them empty', async () => {
    expect((await glossary()).version).toBe(0);
    value(await keepWords(0, { current: 'What flows.', voltage: '  ' }));
    expect(await glossary()).toMatchObject({ value: { current: 'What flows.' }, version: 1 });
    value(await keepWords(1, { current: '' }));
    expect((await glossary()).value).toEqual({});
  });

  it('of two people at once are not written over each other', async () => {
    const { version } = await glossary();
    value(await keepWords(version, { series: 'Hers' }));
    expect(await keepWords(version, { series: 'His' })).toMatchObject({
      ok: false,
      theirs: { version: version + 1, value: { series: 'Hers' } },
    });
    expect((await glossary()).value).toEqual({ series: 'Hers' });
  });

  it('are of known terms and not without end', async () => {
    const { version } = await glossary();
    expect(message(await keepWords(version, { cake: 'x' }))).toMatch(/Nothing was saved/u);
    const long = message(await keepWords(version, { current: 'x'.repeat(WORDING_MOST + 1) }));
    expect(long).toBe(
      `The wording of “current” must not be longer than ${WORDING_MOST} letters. Nothing was saved.`,
    );
    expect(Object.keys(TERMS)).not.toContain('cake');
  });
});

describe('read batteries', () => {
  const box = { name: ' box 3 ', kind: 'aa-alkaline' as const, cells: 3, volts: 4.38, ohms: 0.94 };

  it('are kept under their trimmed name, put away, and taken out', async () => {
    const id = value(await keepBattery(box));
    expect(await batteries()).toMatchObject([{ id, name: 'box 3', volts: 4.38 }]);
    value(await putAwayBattery(id, true));
    expect(await batteries()).toEqual([]);
    value(await putAwayBattery(id, false));
    expect(await batteries()).toHaveLength(1);
  });

  it('are refused with figures that no battery here has, each by its name', async () => {
    expect(message(await keepBattery({ ...box, volts: 230 }))).toMatch(
      /^The open voltage must be at most 24/u,
    );
    expect(message(await keepBattery({ ...box, ohms: -1 }))).toMatch(
      /^The battery’s own resistance must be/u,
    );
    expect(message(await keepBattery({ ...box, name: '   ' }))).toMatch(/^The name of the battery/u);
    expect(message(await keepBattery({ ...box, cells: 0.5 }))).toMatch(/^The number of cells/u);
  });
});

describe('what a lesson says besides its circuit', () => {
  it('is kept with it, within reason', async () => {
    const id = value(await startLesson('single', 'Jar lamp'));
    const held = await lesson(id);
    const [version, content] = [held.version, contentOf(held)];
    expect(content).toMatchObject({ level: 'card', homework: '', extras: [] });
    const told = {
      ...content,
      level: 'full working' as const,
      homework: 'Draw it.',
      extras: [{ name: 'jar', each: 2, use: 'Stand it over the lamp' }],
    };
    value(await keepLesson(id, version, told));
    expect(contentOf(await lesson(id))).toEqual(told);
    const many = { ...told, extras: [{ name: 'jar', each: 51, use: '' }] };
    expect(message(await keepLesson(id, version + 1, many))).toBe(
      'What the lesson wants besides must be at most 50. Nothing was saved.',
    );
    const endless = { ...told, extras: Array.from({ length: 13 }, () => told.extras[0]!) };
    expect(message(await keepLesson(id, version + 1, endless))).toMatch(
      /^What the lesson wants besides must be at most 12/u,
    );
  });
});
