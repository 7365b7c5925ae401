import type { ThingKind } from '@/core';
import { OVER } from './overloads';
import { burstWords, everyWords } from './often';
import {
  formatEntered,
  formatOhms,
  formatPercent,
  formatQuantity,
  type BoardChoice,
  type Finding,
  type FindingCode,
  type FindingData,
  type Overload,
  type Scene,
  type Unit,
} from '@/core';
import { holeName, stripName } from './holes';
import { article, capital, counted, listed } from './grammar';
import { SCENE_WORDS } from './light';
import { BAND_SENTENCES } from './bandFindings';
import { PROGRAM_SENTENCES } from './programFindings';
import { BOARD_SHORT, lampName, legName, plainNames, type Naming } from './names';
import { secondsWords } from './secondsWords';

type Sentences = { readonly [C in FindingCode]: (data: FindingData[C], name: Naming) => string };

const volts = (v: number) => formatQuantity(v, 'V');
const amps = (a: number) => formatQuantity(a, 'A');
const watts = (w: number) => formatQuantity(w, 'W', 2);

/** What every finding says: what happened, to which thing, and what to do. */
const SENTENCES: Sentences = {
  'empty-figure': ({ unit }) => `Nothing is typed yet. Type a figure in ${unit}.`,
  'not-a-figure': ({ typed, unit }) =>
    unit === ''
      ? `“${typed}” is not a number. Type it in digits: 0.25 or 200.`
      : `“${typed}” is not a figure. Type it as the trade does: ${exampleOf(unit)}.`,
  'ambiguous-comma': ({ typed }) =>
    `“${typed}” could mean thousands or decimals. Use a point, or write k for thousands.`,
  'wrong-unit': ({ typed, given, unit }) =>
    `“${typed}” is in ${given}, but this wants ${unit}. Check what is being measured.`,
  'out-of-range': ({ name, value, low, high, unit }) =>
    `${name} of ${formatQuantity(value, unit as Unit)} is outside ${formatQuantity(low, unit as Unit)} to ${formatQuantity(high, unit as Unit)}. Type a figure between them.`,
  'file-too-large': ({ bytes, limit }) =>
    `The file holds ${Math.ceil(bytes / 1024)} KiB; at most ${limit / 1024} KiB are taken.`,
  'not-json': ({ detail }) =>
    `The file is cut short or not JSON (${detail}). Export it again and choose the new file.`,
  'wrong-format': ({ wanted, found }) =>
    `The file says “${found}” where “${wanted}” is wanted. Choose a file that was exported here.`,
  'newer-format': ({ wanted, found }) =>
    `The file is of a newer Mivvet (“${found}”); this one reads “${wanted}”.`,
  'bad-field': ({ place, field, problem }) => `${place}: ${field} ${problem}.`,
  'duplicate-id': ({ place }) => `${place}: id stands twice; every part and check needs its own.`,
  'ground-missing': ({ ground }) => `circuit: ground “${ground}” is not a node of any part.`,
  'check-refers': ({ check, name }) => `${check}: “${name}” is not in the circuit.`,
  'floating-nodes': ({ nodes }) => `Nothing joins ${nodes} to ground: these nodes float.`,
  'sources-at-odds': ({ parts }) => `${parts} would force two voltages between the same points.`,
  'did-not-settle': ({ nodes, residual }) =>
    `The circuit did not settle: ${amps(residual)} is left over at ${nodes}. No figure is given.`,
  'too-many-spreads': ({ count, most }) =>
    `${count} figures differ from part to part: draws are made of circuits with up to ${most}.`,
  oscillates: ({ parts }) => `${parts}: no state of rest is consistent; it oscillates, use run.`,
  'run-too-long': ({ seconds, steps }) =>
    `After ${steps} steps the run has come no further than ${formatQuantity(seconds, 's')}. Ask for a shorter time, or slow the fastest source.`,
  'out-of-reach': ({ check, target, low, high, unit }) =>
    `${check} never reads ${formatQuantity(target, unit as Unit)}: over the whole range it goes from ${formatQuantity(low, unit as Unit)} to ${formatQuantity(high, unit as Unit)}.`,
  'not-of-kind': ({ part, kind }) => `${part} is no ${kind} of this circuit. Name one that is.`,
  'timer-stalls': ({ volts: v, limit }) =>
    `On ${volts(v)} the high output of this chip stays below two thirds of the supply: it stalls high. It needs more than ${volts(limit)}, or the standard circuit, or a CMOS chip.`,
  'duty-out-of-reach': ({ duty, low, high }) =>
    `A duty of ${formatPercent(duty)} is outside what this circuit can do: above ${formatPercent(low)} and below ${formatPercent(high)}.`,
  'no-such-time': ({ seconds, nearest, leaks }) =>
    leaks
      ? `${secondsWords(seconds)} is more than a capacitor holds out: one large enough leaks what so much resistance lets in. The longest that can be had of this drawer is ${secondsWords(nearest)}, with ${formatOhms(leaks.ohms)} and ${formatQuantity(leaks.farads, 'F')}.`
      : Number.isFinite(nearest)
        ? `No resistor and capacitor of the drawer take ${secondsWords(seconds)} on this chip; the nearest that can be had is ${secondsWords(nearest)}.`
        : `This chip never turns over with what hangs on its output. Use less current, more volts or a CMOS chip.`,
  'no-such-duty': ({ nearest, high, low }) =>
    `The drawer has no two resistors that share the round so; the nearest is ${secondsWords(high)} up and ${secondsWords(low)} down (${formatPercent(nearest)} up).`,
  'capacitors-leak': ({ volts: v }) =>
    `On ${volts(v)} every capacitor that is large enough leaks more than such a resistor lets in: it would never fill. Ask for a shorter time, or put smaller resistors and larger capacitors in the drawer.`,
  'chip-supply-low': ({ family, volts: v, limit }) =>
    `${volts(v)} is too little for a ${familyName(family)} chip, which starts at ${volts(limit)}. ${family === 'bipolar' && v >= 2 ? 'A CMOS chip works from 2 V, or choose more cells.' : 'Choose more cells.'}`,
  'chip-supply-high': ({ family, volts: v, limit }) =>
    `${volts(v)} is more than a ${familyName(family)} chip stands: ${volts(limit)} at most. Choose fewer cells.`,
  'chip-over-current': ({ part, amps: a, limit, way }) =>
    `${part} would ${way === 'out' ? 'give' : 'take'} ${amps(a)} at its output; it stands ${amps(limit)}. Ask for less current, ${amps(limit)} at most${limit < 0.1 ? ', or use a bipolar chip' : ''}.`,
  'does-not-move': () => 'Nothing of this circuit moves by itself: it has no day to be shown.',
  'timer-stuck': ({ part }) =>
    `${part} does not go round on this supply with what hangs on its output. Use less lamp current, or a CMOS chip.`,
  'flashes-fast': ({ hertz, lamps }) =>
    `${lamps} ${lamps.includes(',') ? 'flash' : 'flashes'} ${formatQuantity(hertz, 'Hz', 2)}: between 3 and 60 flashes a second can trigger seizures. Ask before class, keep it small and dim, or take a third of a second or more from flash to flash.`,
  'same-light': ({ scene }) =>
    `The lamp cannot be lit and dark in the same light (${SCENE_WORDS[scene as Scene]}): choose two lights.`,
  'beam-too-weak': ({ whole, cut, metres, nearest }) =>
    `At ${formatEntered(metres, 'm')} the beam makes ${formatQuantity(whole, 'lx', 2)} of the room’s ${formatQuantity(cut, 'lx', 2)} on the sensor: too little to tell apart. ${withinReach(nearest)}put a hood over the sensor, a lens before the lamp, or less light into the room.`,
  'beam-needs-light': ({ whole, least, nearest }) =>
    `The bipolar chip’s own reset current wants more than ${formatQuantity(least, 'lx', 2)} on the sensor, and the beam leaves ${formatQuantity(whole, 'lx', 2)}. ${withinReach(nearest)}take the CMOS chip, which does without.`,
  'beam-sort': ({ low, high, pot }) =>
    high > 0
      ? `Sensors of one sort differ: with some the alarm would sound always, or never. ${pot > 0 ? `A trim potentiometer of ${formatOhms(pot)} in the place of R4 covers` : 'Measure yours, or choose R4 between'} ${formatQuantity(low, 'Ω', 2)} to ${formatQuantity(high, 'Ω', 2)}.`
      : 'Sensors of one sort differ: with some the alarm would sound always, or never, and no R4 makes up for that. Bring the lamp nearer, or take the CMOS chip.',
  'lights-own-sensor': ({ metres, lux, way, nearest }) =>
    `From ${formatEntered(metres, 'm')} the lamp leaves ${formatQuantity(lux, 'lx', 2)} on its own sensor: ${
      way === 'dark-on'
        ? 'at dusk it would put itself out again, and only glow'
        : 'once lit it would keep itself lit in the dark'
    }. ${nearest > 0 ? `Put it ${formatQuantity(nearest, 'm', 2)} away or further, or a screen between them.` : 'Put a screen between them.'}`,
  'sensor-backwards': ({ dark, light }) =>
    `A light sensor has more ohms in less light; these readings are ${formatQuantity(dark, 'Ω')} in the darker and ${formatQuantity(light, 'Ω')} in the lighter. Are they exchanged?`,
  'no-switching': ({ lux, amps: a }) =>
    `No resistor beside this sensor makes the lamp reach ${amps(a)} at ${formatQuantity(lux, 'lx')}. Ask for less current, or choose other lights.`,
  'bounds-too-close': ({ low, high, nearest }) =>
    `Between ${formatQuantity(low, 'Hz')} and ${formatQuantity(high, 'Hz')} there is no room for a channel of its own. Let the high channel begin at ${formatQuantity(nearest, 'Hz')} or above, or the low one end earlier.`,
  'no-filter-in-drawer': ({ hertz }) =>
    `No resistor and capacitor of the drawer make a corner near ${formatQuantity(hertz, 'Hz', 2)}. Add a capacitor to the store, or move the bound.`,
  'channel-faint': ({ band, tone, amps: a }) =>
    `The lamps of the ${band} channel get only ${amps(a)} at their own tone of ${formatQuantity(tone, 'Hz', 2)}. Play it louder, or say a louder level, or take a supply with more volts.`,
  'channel-spills': ({ band, tone, amps: a }) =>
    `The lamps of the ${band} channel get ${amps(a)} at ${formatQuantity(tone, 'Hz', 2)} too, which is another’s tone. Lay the bounds further apart, or play it more quietly.`,
  'wav-none': ({ like }) =>
    `This is no WAV file${like ? `: it begins like ${like} file` : ''}. Save the sound as WAV (PCM, 16 or 24 bits) and choose that.`,
  'wav-headless': () =>
    'This WAV file breaks off before its samples begin, or does not say how they are stored. Save it again as PCM.',
  'wav-packed': ({ sort, bits }) =>
    `The samples of this WAV file are packed in a way that is not read here (sort ${sort}, ${bits} bits). Save it as PCM with 16, 24 or 32 bits.`,
  'wav-channels': ({ channels }) => `This WAV file gives ${channels} channels. Save it with one or two.`,
  'wav-rate': ({ rate }) => `This WAV file gives ${rate} samples a second. Save it with 8 kHz to 192 kHz.`,
  'wav-empty': () => 'This WAV file holds no sound at all. Choose another.',
  'wav-cut': ({ there, said }) =>
    `This WAV file says that it lasts ${formatQuantity(said, 's', 3)}, but breaks off after ${formatQuantity(there, 's', 3)}. What is there is played.`,
  'wav-long': ({ seconds, most }) =>
    `It lasts ${formatQuantity(seconds, 's', 3)}; ${formatQuantity(most, 's', 2)} of it are followed at a time. Say at which second they begin.`,
  'sensors-differ': ({ low, high, pot }) =>
    `Sensors of one sort differ: some would switch outside of the two lights. ${pot > 0 ? `A trim potentiometer of ${formatOhms(pot)} in the place of R2 covers` : 'Measure yours, or choose R2 between'} ${formatQuantity(low, 'Ω', 2)} to ${formatQuantity(high, 'Ω', 2)}.`,
  'pulses-as-said': ({ volts: v, duty, mean }) =>
    `The booster is taken to give exactly ${volts(v)} for ${formatPercent(duty)} of the time. Measure it with nothing on it: the meter should show ${volts(mean)}. Where yours differs, change the wish.`,
  'pulse-over-limit': ({ peak, limit, duty, amps: mean }) =>
    `Each pulse would be ${amps(peak)}, more than this lamp stands (${amps(limit)}). Make the pulses last ${formatPercent(duty)} of the time or longer, or ask for ${amps(mean)} at most.`,
  'no-such-turn': ({ first, second, third, least }) =>
    `The first lamp’s ${secondsWords(first)} must be shorter than the ${secondsWords(second + third)} of the other two together: this chip is up for longer than it is down. Give the third at least ${secondsWords(least)}.`,
  ...PROGRAM_SENTENCES,
  ...BAND_SENTENCES,
  'nothing-to-choose': ({ what }) => `There is no ${what} to choose from. Name at least one value.`,
  'no-battery': ({ part }) => `${part} does not run down: choose a battery.`,
  'mains-refused': ({ volts: v }) =>
    `${volts(v)} can only be mains, and nothing here connects to mains. Plan the lamp on batteries, USB or an isolated supply of up to 24 V instead.`,
  'supply-too-high': ({ volts: v, limit }) =>
    `${volts(v)} is above the ${volts(limit)} that lessons here stop at. Choose fewer cells or a lower setting.`,
  'cannot-light': ({ supply, lamp, amps: reached, needVolts }) =>
    lamp.includes('+')
      ? `${volts(supply)} cannot push the wanted current through ${countedLamps(lamp)} in a row, which need ${volts(needVolts)}. Use shorter strings, more volts or less current.`
      : `${volts(supply)} cannot push the wanted current through ${article(`${lampName(lamp)} lamp`)}, which needs ${volts(needVolts)}: it would get ${amps(reached)} with no resistor at all. Add a cell, choose a lamp with a lower forward voltage, or ask for less current.`,
  'current-over-limit': ({ amps: a, limit }) =>
    `${amps(a)} is more than this lamp stands (${amps(limit)}). Ask for less.`,
  'no-resistor-in-drawer': ({ ohms, largest }) =>
    `The sum wants ${formatQuantity(ohms, 'Ω')}, and the largest value to choose from is ${formatOhms(largest)}. Take values from a whole series, or add one to the store.`,
  'little-headroom': ({ volts: v, share }) =>
    `Only ${volts(v)} (${formatPercent(share)} of the supply) is left for the resistor, so a slightly different lamp or cell moves the current a lot.`,
  'runs-hot': ({ watts: w, part }, name) =>
    `${capital(name(part))} turns ${watts(w)} into heat at the highest supply: a ¼ W part gets hot to touch. Use a larger rating or a lower supply.`,
  'over-drawn-cell': ({ amps: a }) =>
    `${amps(a)} is a lot for a coin cell: it sags within minutes. 1 to 3 mA suit it.`,
  'assumed-figure': ({ lamp, origin }) =>
    lamp.includes('+')
      ? `The forward voltages of the ${listed(lamp.split('+').map(lampName))} lamps come from the ${origin === 'table' ? 'colour table' : origin}. Measure one of each batch, or read the bag, to be sure of its chip.`
      : `The forward voltage of the ${lampName(lamp)} lamp comes from the ${origin === 'table' ? 'colour table' : origin}. Measure one lamp of the batch, or read the bag, to be sure of its chip.`,
  'hole-missing': ({ hole, part }, name) => `The board has no hole ${holeName(hole)} for ${name(part)}.`,
  'hole-taken': ({ hole, part, other }, name) =>
    part === other
      ? `Both legs of ${name(part)} cannot share hole ${holeName(hole)}.`
      : `Hole ${holeName(hole)} already holds a leg of ${name(other)}.`,
  'does-not-fit': ({ board, left, of, would }) =>
    `This is too much for the ${BOARD_SHORT[board as BoardChoice]}: ${left > 0 ? `${left} of ${of} parts find no place` : 'its rows have no holes left for the wires'}. ${wouldHold(would)}`,
  'hole-cut': ({ hole, part }, name) => `Hole ${holeName(hole)} is cut through: ${name(part)} cannot use it.`,
  'not-alike': ({ part, other }, name) =>
    `${capital(name(part))} and ${name(other)} have different numbers of legs, so they cannot change places.`,
  'not-for-card': ({ part }, name) =>
    `Tape on card takes only things with two legs in rows from plus to minus, and ${name(part)} is none of those. Choose a breadboard, stripboard or pad board.`,
  'unequal-lamps': ({ lamps, dark, over }) =>
    `${sharedFairly(lamps) ? 'As designed' : 'The lamps do not share the current'}: ${lamps.map(({ part, type, amps: a }) => `${part} ${lampName(type)} ${amps(Math.max(0, a))}`).join(', ')}.${dark ? ` ${dark} of them ${dark === 1 ? 'stays' : 'stay'} dark at some age of the supply.` : ''}${over ? ` ${over} ${over === 1 ? 'is' : 'are'} driven above the limit.` : ''}`,
  'never-without-resistor': ({ cells }) =>
    `${cells} coin cells push far more than a lamp survives: without a resistor it holds for one coin cell only.`,
  'too-many-lamps': ({ lamps, most }) =>
    `${counted(lamps, 'lamp')} are more than one lesson takes (${most}).`,
  'supply-overloaded': ({ amps: a, limit }) =>
    `${amps(a)} is more than this port gives all day (${amps(limit)}). Use fewer lamps, less current or strings.`,
  'no-way-works': ({ ways }) =>
    ways > 0
      ? 'Strings as long as this cannot be lit; shorter ones in the list below can.'
      : 'No way to join these lamps can be lit from this supply.',
  'rungs-alike': ({ first, second, volts: v }, name) =>
    `${capital(name(first))} and ${name(second)} light at the same ${volts(v)}: no zener of the table lies between. Wish their thresholds at least a volt apart.`,
  'no-zener': ({ volts: v, lamp }) =>
    `No zener of the table lights ${article(`${lampName(lamp)} lamp`)} at about ${volts(v)}. Choose another threshold or lamp.`,
  'no-potentiometer': ({ ohms }) =>
    `The sum wants a potentiometer of ${formatQuantity(ohms, 'Ω')}; the largest sold is 1 MΩ. Ask for more current at the low end.`,
  'nothing-in-range': ({ low, high }) =>
    high < 0.1
      ? `The low end, ${amps(low)}, must lie below the high end, ${amps(high)}.`
      : `This lamp takes ${volts(low)}, and ${volts(high)} leave no two resistors to walk between. Add a cell.`,
  'shorted-by-row': ({ part, strip }, name) =>
    `Both legs of ${name(part)} sit in ${stripName(strip)}: the row joins them, so 0 V stands across it.`,
  'open-leg': ({ part, kind, pin, hole, strip }, name) =>
    `The ${legName(kind as ThingKind, pin)} of ${name(part)} sits in ${holeName(hole)}, and nothing else is in ${stripName(strip)}: no current can pass.`,
  'cut-off': ({ part }, name) => `${name(part)} is joined to nothing on the board.`,
  reversed: ({ part, volts: v }, name) =>
    `${capital(name(part))} is the wrong way round: it blocks, with ${volts(v)} across it and none across the resistor.`,
  'reverse-limit': ({ part, volts: v, limit }, name) =>
    `${name(part)} is the wrong way round with ${volts(v)} across it, above the ${volts(limit)} it stands in reverse: it may be ruined.`,
  dark: ({ part, amps: a }, name) => `${name(part)} stays dark: ${a < 1e-7 ? 'no current' : amps(a)} flows.`,
  'never-goes-out': ({ part, amps: a, why }, name) =>
    why === 'short-of-rail'
      ? `${name(part)} would not go out: with the least that it gets it still carries ${amps(a)}, as the chip’s output stays short of its rail. Take a lamp of more volts, or a chip whose output reaches the rail (CMOS).`
      : `${name(part)} would not blink: with so much current its chip no longer turns over. Wish for less current.`,
  bursts: ({ part, hertz, wished, flashes, every }, name) =>
    `${name(part)} flashes ${burstWords({ flashes, every })}, ${everyWords(hertz)} within one; ${wished} a burst were wished.`,
  'lamp-blinks': ({ part, amps: a, hertz, brightness }, name) =>
    `${name(part)} blinks, ${hertz < 0.95 ? everyWords(hertz) : formatQuantity(hertz, 'Hz', 3)}, with ${amps(a)} while it is lit: ${brightness}.`,
  sounds: ({ part, hertz }, name) => `${capital(name(part))} sounds at ${formatQuantity(hertz, 'Hz')}.`,
  'sound-waits': ({ part, lamp, hertz }, name) =>
    `${capital(name(part))} is silent while ${name(lamp)} shines on the sensor; when the beam is cut it sounds at ${formatQuantity(hertz, 'Hz')}.`,
  'stays-silent': ({ part }, name) => `${capital(name(part))} stays silent, with the beam whole and cut.`,
  'lamp-waits': ({ part, button }, name) =>
    `${name(part)} waits for ${name(button)}: it lights when that is pressed.`,
  'lamp-glow': ({ part, amps: a, brightness, share }, name) =>
    `${name(part)} is ${brightness} at ${amps(a)}, ${formatPercent(share)} of its limit.`,
  'over-current': ({ part, amps: a, limit, share }, name) =>
    `${name(part)} is too bright at ${amps(a)}, ${share.toFixed(1)} times its limit of ${amps(limit)}: it wears out early.`,
  'will-fail': ({ part, amps: a, limit, share }, name) =>
    `${name(part)} would get ${share > 1.5 ? 'at least ' : ''}${amps(a)}, ${overTimes(share)} its limit of ${amps(limit)}: far beyond what it survives.`,
  'resistor-over-rating': ({ part, watts: w, rating }, name) =>
    `${name(part)} would burn ${watts(w)}, more than its ${watts(rating)}: it chars.`,
  'supply-shorted': ({ amps: a }) =>
    `The battery is shorted: ${amps(a)} flows until it is hot or empty. Disconnect it first.`,
  'no-resistor': ({ part }, name) =>
    `There is a wire where ${name(part)} belongs: nothing limits the current.`,
  'reading-implausible': ({ typed, value, limit, unit, beyond, perhaps }) =>
    beyond === 'more'
      ? `“${typed}” is more than anything here can show (${formatQuantity(limit, unit as Unit)}). Perhaps ${formatQuantity(perhaps, unit as Unit)}?`
      : `“${typed}” here means ${formatQuantity(value, unit as Unit)}, a thousandth of what is expected. Perhaps ${formatQuantity(perhaps, unit as Unit)}?`,
  'reading-counted': ({ typed, as }) =>
    as === 'count'
      ? `Is ${typed} a count in ten seconds? Here it means ${typed} flashes a second.`
      : `Is ${typed} the seconds from one flash to the next? Here it means ${typed} flashes a second.`,
  'not-on-board': ({ part }, name) =>
    `${capital(name(part))} is not on the board yet: there is nothing to measure.`,
  overloaded: ({ part, how, figure, limit }, name) => `${capital(name(part))} ${OVER[how](figure, limit)}`,
  'in-the-way': ({ part, other }, name) =>
    `${capital(name(part))} lies under the body of ${name(other)}, or in its place: move one of them.`,
  'mains-in-text': ({ words }) =>
    `This text speaks of mains (“${words}”). Nothing here connects to mains or opens a mains lamp: it is for licensed people under the local code. A lamp cover on an isolated 12 V supply stands in for it.`,
  'csv-columns': ({ wanted, found }) =>
    `The list has the columns “${found}”. It wants ${wanted}, or one nickname a line.`,
  'csv-row': ({ row, problem }) => `Line ${row} ${problem}.`,
  'duplicate-nickname': ({ nickname }) =>
    `“${nickname}” stands twice in this group. Give the second a nickname of its own.`,
  'duplicate-bench': ({ bench }) => `Bench ${bench} stands twice in this group.`,
  'surname-like': ({ nickname }) =>
    `“${nickname}” looks like a full name. A nickname or bench number is enough here.`,
};

/** What is too much for a part, after its name. */
export function overloadWords({ how, figure, limit }: Overload): string {
  return OVER[how](figure, limit);
}

const NEAREST_METRES = 0.02;

/** Nearer than that no lamp and sensor are set up. The distance at which a beam does, before what else may be done. */
function withinReach(metres: number): string {
  return metres < NEAREST_METRES
    ? 'No distance makes up for it: '
    : `Up to ${formatQuantity(metres, 'm', 2)} it works; or `;
}

function countedLamps(lamps: string): string {
  const counts = new Map<string, number>();
  for (const lamp of lamps.split('+')) counts.set(lamp, (counts.get(lamp) ?? 0) + 1);
  return listed([...counts].map(([lamp, count]) => `${count} ${lampName(lamp)}`));
}

/** Whether all lamps get about the same, so that the trouble is another. */
function sharedFairly(lamps: readonly { amps: number }[]): boolean {
  const all = lamps.map((lamp) => lamp.amps);
  return Math.min(...all) > 0.7 * Math.max(...all);
}

function wouldHold(boards: string): string {
  if (boards === '') return 'No board here holds it: split it into two lessons.';
  const names = boards.split(' ').map((board) => BOARD_SHORT[board as BoardChoice]);
  return `It fits on: ${names.join(', ')}.`;
}

function overTimes(share: number): string {
  return share < 10 ? `${share.toFixed(1)} times` : `${Math.round(share)} times`;
}

function exampleOf(unit: string): string {
  return { V: '4.8 or 9V', A: '10 mA or 12m', Ω: '330 or 4k7' }[unit] ?? `12 ${unit}`;
}

/** The sentence of a finding. */
export function sentence(finding: Finding, name: Naming = plainNames): string {
  // One code always goes with its own data; TypeScript cannot see that through the union.
  const words = (SENTENCES[finding.code] as (data: unknown, name: Naming) => string)(finding.data, name);
  return words.replace(/^the /u, 'The ');
}

/** The same on a screen that shows the circuit over time as well. */
export function screenSentence(finding: Finding): string {
  if (finding.code !== 'oscillates') return sentence(finding);
  return `With ${finding.data.parts} this circuit never comes to rest, so it has no figure at rest. What it does stands under “Over time”.`;
}

export function sentences(findings: readonly Finding[], name?: Naming): string {
  return findings.map((finding) => sentence(finding, name)).join(' ');
}

const familyName = (family: string) => (family === 'cmos' ? 'CMOS' : family);
