import { renderToStaticMarkup } from 'react-dom/server';
import { requestWith } from '../../tests/support/sheets';
import {
  thingsOf,
  currentPaths,
  boardOf,
  formatEntered,
  formatOhms,
  formatQuantity,
  isSource,
  holeOf,
  makeSheet,
  partOf,
  stockKey,
  type Sheet,
  type Step,
} from '@/core';
import { LESSONS } from '@/demo/lessons';
import { STOCK } from '@/demo/course';
import { cardJson, cardMarkdown } from '@/messages/card';
import { holeName } from '@/messages/holes';
import { stepWords } from '@/messages/steps';
import { talkFor } from '@/messages/talk';
import { PrintedCard } from './print/PrintedCard';
import { ownSums } from '../../tests/support/ownSums';

const stock = STOCK.map(([spec, have, packSize, packCents]) => ({ spec, have, packSize, packCents }));
const plain = (text: string) => text.replaceAll('\u202f', ' ');

function sheetOf(lesson: (typeof LESSONS)[number]): Sheet {
  const drawer = stock.flatMap(({ spec }) => (spec.kind === 'resistor' ? [spec.ohms] : []));
  const request = requestWith();
  const { choice, ageGroup } = lesson;
  const sheet = makeSheet({ ...request, choice, ageGroup, stock, shelf: { ...request.shelf, drawer } });
  if (!sheet.ok) throw new Error(JSON.stringify(sheet.findings));
  return sheet.value;
}

/** Every leg that a card puts somewhere. */
function legsIn(steps: readonly Step[]): string[] {
  return steps.flatMap((step) => {
    if (step.action === 'repeat' || step.action === 'solder-batch') {
      return step.pieces.flatMap(({ part, legs }) => legs.map(({ pin, hole }) => `${part} ${pin} ${hole}`));
    }
    return 'legs' in step ? step.legs.map(({ pin, hole }) => `${step.part} ${pin} ${hole}`) : [];
  });
}

describe.each(LESSONS.map((lesson) => [lesson.title, lesson] as const))('%s', (title, lesson) => {
  const sheet = sheetOf(lesson);
  const taped = boardOf(sheet.plan).copper === 'tapes';
  const card = plain(
    renderToStaticMarkup(<PrintedCard title={title} story="" sheet={sheet} />).replace(/<[^>]+>/gu, ' '),
  );
  const words = sheet.steps.map((step) => stepWords(step, sheet));

  it('is the circuit that was meant', () => {
    expect(sheet.built.asWanted).toBe(true);
    expect(sheet.built.seen).toBeDefined();
  });

  it('has a card whose legs are exactly those of the plan', () => {
    const planned = sheet.plan.placements.flatMap((p) =>
      Object.entries(p.legs).map(([pin, hole]) => `${p.part} ${pin} ${hole}`),
    );
    const supply = sheet.plan.placements.find(({ part }) => part === 'B1')!;
    const carded = legsIn(sheet.steps);
    // The coin cell has no leads: it is folded between its tapes. Extra tapes are laid, not plugged.
    const expected = planned.filter(
      (leg) => !taped || !(leg.startsWith(`${supply.part} `) || leg.startsWith('W')),
    );
    expect([...carded].sort()).toEqual([...expected].sort());
  });

  it('says on paper every part, every value and every hole, and no other hole', () => {
    const board = boardOf(sheet.plan);
    for (const { part, legs } of sheet.plan.placements) {
      if (part.startsWith('B')) continue;
      expect(card).toContain(part);
      const own = partOf(sheet.circuit, part);
      if (own?.kind === 'resistor' || own?.kind === 'potentiometer') {
        expect(card).toContain(plain(formatOhms(own.params.ohms)));
      }
      for (const hole of Object.values(legs)) expect(card).toContain(plain(holeName(hole)));
    }
    const planned = new Set([
      ...sheet.plan.placements.flatMap((p) => Object.values(p.legs)),
      ...(sheet.plan.cuts ?? []),
      // Where one half is tested alone, the resistor that parks the other has holes of its own.
      ...sheet.steps.flatMap((step) =>
        step.action === 'isolate' ? step.isolation.parkings.flatMap(({ legs }) => Object.values(legs)) : [],
      ),
    ]);
    const text = words.flatMap(({ title: t, detail, cue }) => [t, detail, cue ?? '']).join(' ');
    const spoken = text.match(board.copper === 'rows' ? /\b[a-j]\d{1,2}\b/gu : /\b[A-X]\d{1,2}\b/gu) ?? [];
    const names = new Set(sheet.plan.placements.map(({ part }) => part));
    for (const hole of spoken)
      if (!names.has(hole) && holeOf(board, hole)) expect([...planned]).toContain(hole);
  });

  it('counts in its kit exactly the parts of the circuit', () => {
    const line = (key: string) => sheet.kit.lines.find((l) => l.key === key);
    const resistors = new Map<number, string[]>();
    for (const part of sheet.circuit.parts) {
      if (part.kind === 'resistor')
        resistors.set(part.params.ohms, [...(resistors.get(part.params.ohms) ?? []), part.id]);
    }
    for (const [ohms, ids] of resistors) {
      const own = line(stockKey({ kind: 'resistor', ohms }))!;
      expect(own.parts.filter((part) => !['in turn', 'parked'].includes(part))).toEqual(ids);
    }
    for (const body of thingsOf(sheet.circuit)) {
      expect(sheet.kit.lines.some(({ parts }) => parts.includes(body.id))).toBe(true);
    }
    for (const { part, kind } of sheet.plan.placements) {
      if (kind === 'jumper') expect(sheet.kit.lines.some(({ parts }) => parts.includes(part))).toBe(true);
    }
  });

  it('has a kit that the harbour’s store can price, board and all', () => {
    expect(sheet.kit.unpriced).toEqual([]);
    expect(sheet.kit.eachCents).toBeGreaterThan(0);
  });

  it('has sums with the resistors that are in the circuit', () => {
    for (const sum of sheet.sums.strings) {
      const part = partOf(sheet.circuit, sum.resistor);
      expect(part?.kind === 'resistor' && part.params.ohms).toBe(sum.chosen);
    }
    for (const { id, typical, low, high } of sheet.expected.points) {
      expect(typical).toBeGreaterThanOrEqual(low * 0.8);
      expect([id, typical <= high * 1.2]).toEqual([id, true]);
    }
  });

  it('has whole sentences for every step', () => {
    for (const { title: what, detail, why, cue } of words) {
      for (const text of [what, detail, why, cue ?? 'none']) {
        expect(text).not.toMatch(/undefined|NaN|\[object|\s{2}/u);
        expect(text.length).toBeGreaterThan(3);
      }
      expect(what).toMatch(/[.?]$/u);
    }
  });

  it('goes out as Markdown and JSON with every step', () => {
    const markdown = cardMarkdown(title, sheet);
    expect(markdown.match(/^\d+\. \[ \]/gmu)).toHaveLength(sheet.steps.length);
    expect(markdown.startsWith(`# ${title}\n`)).toBe(true);
    const data = JSON.parse(cardJson(title, sheet)) as { format: string; steps: unknown[]; plan: unknown };
    expect(data.format).toBe('mivvet.card/1');
    expect(data.steps).toHaveLength(sheet.steps.length);
    expect(data.plan).toEqual(JSON.parse(JSON.stringify(sheet.plan)));
  });
});

describe('the harbour', () => {
  it('has a lesson on every kind of board', () => {
    const boards = new Set(LESSONS.map(({ choice }) => choice.build?.board ?? 'half'));
    expect([...boards].sort()).toEqual(['card', 'full', 'full-split', 'half', 'mini', 'pad', 'strip']);
  });
});

/** The first lamp of a lesson on the pins of a controller, its resistor and its pin, as they are called. */
function pinnedIn({ sums }: Sheet): readonly string[] | undefined {
  const { program, mix, rule } = ownSums(sums);
  const lamp = program?.lamps[0] ?? rule?.lamp;
  if (lamp) return [lamp.part, lamp.resistor, `pin ${lamp.pin}`];
  const [first] = mix?.lamps ?? [];
  return first && [first.colour, first.resistor, `pin ${first.pin}`];
}

describe.each(LESSONS.map((lesson) => [lesson.title, lesson] as const))(
  'the talk of %s',
  (_title, lesson) => {
    const sheet = sheetOf(lesson);
    const talk = talkFor(sheet);
    const { beam, timing, sound, light, pulses, mix, rule, program } = ownSums(sheet.sums);

    it('traces the current through every part once it has a way', () => {
      if (beam) {
        const { lamp, sensor, trim } = beam;
        for (const id of [lamp, sensor, trim, 'R5', 'U1']) expect(talk.path).toContain(id);
        return;
      }
      if (timing) {
        for (const { parts } of timing)
          for (const id of Object.values(parts)) expect(talk.path).toContain(id);
        return;
      }
      const pinned = pinnedIn(sheet);
      if (pinned) {
        for (const name of pinned) expect(talk.path).toContain(name);
        return;
      }
      if (sound) {
        const { lead, stage, channels } = sound;
        for (const id of [lead, stage.transistor, ...channels.map(({ transistor }) => transistor)])
          expect(talk.path).toContain(id);
        return;
      }
      if (light) {
        for (const { id } of sheet.circuit.parts)
          if (!isSource(sheet.circuit, id)) expect(talk.path).toContain(id);
        return;
      }
      const passed = new Set(currentPaths(sheet.circuit).flat());
      for (const { id } of sheet.circuit.parts)
        if (!isSource(sheet.circuit, id)) expect(passed).toContain(id);
      expect(talk.path).toContain('out of plus');
    });

    it('adds the volts along the way up to those at the supply’s ends', () => {
      if (beam) {
        expect(talk.sum).toContain(beam.sensor);
        expect(talk.sum).toContain(beam.trim);
        return;
      }
      if (sound) {
        const { stage, channels } = sound;
        const tones = channels.map(({ tone }) => formatQuantity(tone, 'Hz', 2));
        for (const figure of [formatQuantity(stage.volts, 'V', 3), ...tones])
          expect(plain(talk.sum)).toContain(plain(figure));
        return;
      }
      if (timing) {
        for (const { ideal, solved } of timing)
          for (const { high } of [ideal, solved])
            expect(plain(talk.sum)).toContain(plain(formatQuantity(high, 's', 3)));
        return;
      }
      if (pulses) {
        const { lampVolts, amps } = pulses;
        for (const figure of [formatQuantity(lampVolts.mean, 'V', 3), formatQuantity(amps.mean, 'A', 3)])
          expect(plain(talk.sum)).toContain(plain(figure));
        return;
      }
      if (light) {
        expect(talk.sum).toContain(light.sensor);
        expect(talk.sum).toContain(light.trim);
        return;
      }
      if (mix ?? rule) {
        const told = rule
          ? [`${rule.on.counts}`, `${rule.off.counts}`]
          : mix!.lamps.map(({ step }) => `${step}`);
        for (const figure of told) expect(talk.sum).toContain(figure);
        return;
      }
      if (program) {
        const { roundSeconds, lamps } = program;
        for (const figure of [formatEntered(roundSeconds, 's'), formatQuantity(lamps[0]!.peak, 'A')])
          expect(plain(talk.sum)).toContain(plain(figure));
        return;
      }
      const total = /= ([\d.]+) V/u.exec(plain(talk.sum))![1]!;
      expect(Number(total)).toBeCloseTo(sheet.sums.design.supplyVolts, 1);
    });

    it('says everything in whole words', () => {
      for (const text of [...Object.values(talk).flat()]) {
        expect(text).not.toMatch(/undefined|NaN/u);
        expect(text.length).toBeGreaterThan(4);
      }
      expect(talk.predict).toHaveLength(3);
    });
  },
);
