/**
 * Every code that a check, refusal or caution can bear, with the data it carries.
 * The core says what and how much; `messages/` says it in words.
 */
export interface FindingData {
  // figures as typed
  'empty-figure': { unit: string };
  'not-a-figure': { typed: string; unit: string };
  'ambiguous-comma': { typed: string; unit: string };
  'wrong-unit': { typed: string; given: string; unit: string };
  'out-of-range': { name: string; value: number; low: number; high: number; unit: string };
  // files
  'file-too-large': { bytes: number; limit: number };
  'not-json': { detail: string };
  'wrong-format': { wanted: string; found: string };
  'newer-format': { wanted: string; found: string };
  'bad-field': { place: string; field: string; problem: string };
  'duplicate-id': { place: string };
  'ground-missing': { ground: string };
  'check-refers': { check: string; name: string };
  // circuits that cannot be solved
  'floating-nodes': { nodes: string };
  'sources-at-odds': { parts: string };
  'did-not-settle': { nodes: string; residual: number };
  oscillates: { parts: string };
  'too-many-spreads': { count: number; most: number };
  'run-too-long': { seconds: number; steps: number };
  // questions
  'out-of-reach': { check: string; target: number; low: number; high: number; unit: string };
  'not-of-kind': { part: string; kind: string };
  'timer-stalls': { volts: number; limit: number };
  'duty-out-of-reach': { duty: number; low: number; high: number };
  'nothing-to-choose': { what: string };
  /** No pair of the drawer comes near a time, or a share of it that the output is up; the nearest that does. */
  'no-such-time': {
    seconds: number;
    nearest: number;
    /** It would take a capacitor that leaks too much: the longest that can be had, and with which parts. */
    leaks?: { ohms: number; farads: number };
  };
  'no-such-duty': { duty: number; nearest: number; high: number; low: number };
  'capacitors-leak': { volts: number };
  'chip-supply-low': { family: string; volts: number; limit: number };
  'chip-supply-high': { family: string; volts: number; limit: number };
  'chip-over-current': { part: string; amps: number; limit: number; way: 'out' | 'in' };
  'does-not-move': Record<string, never>;
  'timer-stuck': { part: string };
  /** A lamp that would carry its wanted mean in pulses above what it stands; the share of the time, or the mean, that would do. */
  'pulse-over-limit': { peak: number; limit: number; duty: number; amps: number };
  /** Nothing is known of how one booster differs from the next; its mean without load tells. */
  'pulses-as-said': { volts: number; duty: number; mean: number };
  'same-light': { scene: string };
  'beam-too-weak': { whole: number; cut: number; metres: number; nearest: number };
  'beam-needs-light': { whole: number; least: number; nearest: number };
  'beam-sort': { low: number; high: number; pot: number };
  'sensor-backwards': { dark: number; light: number };
  'no-switching': { lux: number; amps: number };
  /** Two bounds between three channels, and how high the upper one must be. */
  'bounds-too-close': { low: number; high: number; nearest: number };
  'no-filter-in-drawer': { hertz: number };
  /** A channel whose lamps do not light at their own tone, or do at another channel’s. */
  'channel-faint': { band: string; tone: number; amps: number };
  'channel-spills': { band: string; tone: number; amps: number };
  // sounds from files
  /** No WAV file; what it looks like instead, as `an MP3`, or nothing known. */
  'wav-none': { like: string };
  'wav-headless': Record<never, never>;
  'wav-packed': { sort: number; bits: number };
  'wav-channels': { channels: number };
  'wav-rate': { rate: number };
  'wav-empty': Record<never, never>;
  /** It ends before the length that it gives. */
  'wav-cut': { there: number; said: number };
  /** Only so much of it is followed at a time. */
  'wav-long': { seconds: number; most: number };
  /** Some sensors of the sort would switch outside of the two scenes; 0 where no trim potentiometer covers them. */
  'sensors-differ': { low: number; high: number; pot: number };
  'flashes-fast': { hertz: number; lamps: string };
  'no-such-turn': { first: number; second: number; third: number; least: number };
  'no-battery': { part: string };
  // programs
  /** A pin that the board does not have, in the wiring or in the table; the nearest that is free. */
  'no-such-pin': { board: string; pin: number; nearest: number; where: 'wire' | 'table' };
  'pin-twice': { pin: number; nearest: number; where: 'wire' | 'table' };
  'step-beyond': { row: number; pin: number; step: number; limit: number };
  'pin-does-not-dim': { row: number; pin: number; how: 'fade' | 'dim'; nearest: number };
  'table-misses-wire': { part: string; wire: number; pin: number };
  'pin-uploads': { pin: number; nearest: number };
  'times-contradict': { says: number; sum: number; rounds: number };
  /** Two lamps that share a resistor in a row that has both of them on. */
  'share-while-lit': { row: number; first: string; second: string; more: number; less: number };
  'pin-over-current': { pin: number; amps: number; limit: number; most: number };
  'pins-over-current': { row: number; amps: number; limit: number };
  /** A lamp so near to its own sensor that it would put itself out, or keep itself lit. */
  'lights-own-sensor': { metres: number; lux: number; way: 'dark-on' | 'light-on'; nearest: number };
  'pin-does-not-read': { pin: number; nearest: number };
  /** A threshold that is not between what the two scenes read. */
  'threshold-outside': { threshold: number; low: number; high: number; nearest: number };
  'hysteresis-wide': { hysteresis: number; most: number; low: number; high: number };
  'words-unknown': { words: string };
  'times-unequal': { moments: number; times: number };
  'rows-beyond': { rows: number; most: number };
  'table-columns': { found: string };
  // sums
  'mains-refused': { volts: number };
  'supply-too-high': { volts: number; limit: number };
  'cannot-light': { supply: number; lampVolts: number; lamp: string; amps: number; needVolts: number };
  'current-over-limit': { amps: number; limit: number };
  'no-resistor-in-drawer': { ohms: number; largest: number };
  'little-headroom': { volts: number; share: number };
  'runs-hot': { watts: number; rating: number; part: string };
  'over-drawn-cell': { amps: number };
  'assumed-figure': { lamp: string; origin: string };
  /** Lamps of one way of wiring, that do not share the current as was wished. */
  'unequal-lamps': {
    lamps: readonly { part: string; type: string; amps: number }[];
    dark: number;
    over: number;
  };
  'never-without-resistor': { cells: number };
  'too-many-lamps': { lamps: number; most: number };
  'supply-overloaded': { amps: number; limit: number };
  'no-way-works': { ways: number };
  'rungs-alike': { first: string; second: string; volts: number };
  'no-zener': { volts: number; lamp: string };
  'no-potentiometer': { ohms: number };
  'nothing-in-range': { low: number; high: number };
  // boards
  'hole-missing': { hole: string; part: string };
  'hole-taken': { hole: string; part: string; other: string };
  'hole-cut': { hole: string; part: string };
  'not-alike': { part: string; other: string };
  /** How many pieces of the circuit found no place, and the boards that would hold all of it. */
  'does-not-fit': { board: string; left: number; of: number; would: string };
  'not-for-card': { part: string };
  // what a plan does
  'shorted-by-row': { part: string; hole: string; strip: string };
  'open-leg': { part: string; kind: string; pin: string; hole: string; strip: string };
  'cut-off': { part: string };
  reversed: { part: string; volts: number };
  'reverse-limit': { part: string; volts: number; limit: number };
  dark: { part: string; amps: number };
  /** Short of its rail, a lamp lights on what is left; with more load than it can give, the chip no longer turns over. */
  'never-goes-out': { part: string; amps: number; why: 'short-of-rail' | 'overloaded' };
  bursts: { part: string; hertz: number; wished: number; flashes: number; every: number };
  'lamp-blinks': { part: string; amps: number; hertz: number; brightness: string };
  sounds: { part: string; hertz: number };
  'sound-waits': { part: string; lamp: string; hertz: number };
  'stays-silent': { part: string };
  'lamp-waits': { part: string; button: string };
  'lamp-glow': { part: string; amps: number; brightness: string; share: number };
  'over-current': { part: string; amps: number; limit: number; share: number };
  'will-fail': { part: string; amps: number; limit: number; share: number };
  'resistor-over-rating': { part: string; watts: number; rating: number };
  'supply-shorted': { part: string; amps: number };
  'no-resistor': { part: string };
  /** A part of any other kind beyond what it stands, in amps, volts or watts. */
  overloaded: {
    part: string;
    how: 'current' | 'reverse' | 'heat' | 'shorted' | 'volts';
    figure: number;
    limit: number;
  };
  /** A leg under a body, or two bodies in one place. */
  'in-the-way': { part: string; other: string };
  // words of a lesson
  'mains-in-text': { words: string };
  // readings
  'not-on-board': { part: string; kind: string };
  'reading-implausible': {
    typed: string;
    value: number;
    limit: number;
    unit: string;
    /** More than anything here can show, or a thousandth of what is expected. */
    beyond: 'more' | 'less';
    perhaps: number;
  };
  /** A bare figure where a rate is read may be a count in ten seconds or a period. */
  'reading-counted': { typed: string; as: 'count' | 'period'; perhaps: string };
  // what this program worked out
  /** A band that does not lie about its typical figure and between its corners: the program is wrong, not the build. */
  'band-at-odds': {
    check: string;
    unit: string;
    typical: number;
    low: number;
    high: number;
    worstLow: number;
    worstHigh: number;
  };
  /** So many of the builds that were drawn did not settle: the band is of the others alone. */
  'draws-left-out': { unsettled: number; samples: number };
  // lists that come in
  'csv-columns': { wanted: string; found: string };
  'csv-row': { row: number; problem: string };
  'duplicate-nickname': { nickname: string };
  'duplicate-bench': { bench: number };
  'surname-like': { nickname: string };
}

export type FindingCode = keyof FindingData;
