import {
  formatEntered,
  TIMER_FAMILIES,
  type LampType,
  type Outcome,
  type ParamsOf,
  type TimerFamily,
} from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import { readWithin } from '@/features/wish/readers';
import { AmpsWord, LampWord, ValuesWord } from './CommonWords';
import { countReader, type Problems } from './problems';
import { SupplyWords } from './SupplyWords';
import type { WishProps } from './wishProps';

const FAMILY_NAMES: Readonly<Record<TimerFamily, string>> = { bipolar: 'bipolar', cmos: 'CMOS' };

type Common = Pick<ParamsOf<'blink'>, 'supply' | 'family' | 'quiet' | 'values'>;

/** Bare numbers are seconds; minutes may be said. */
function readSeconds(typed: string): Outcome<number> {
  const minutes = /^\s*(\d+(?:[.,]\d+)?)\s*min(?:utes?)?\s*$/iu.exec(typed);
  if (minutes) return readTime(String(Number(minutes[1]!.replace(',', '.')) * 60));
  return readTime(typed);
}
const readTime = readWithin('A time', 's', 1e-7, 3600);

function SecondsWord({
  label,
  seconds,
  problems,
  onChange,
}: {
  label: string;
  seconds: number;
  problems: Problems;
  onChange: (seconds: number) => void;
}) {
  return (
    <Typed
      label={label}
      value={formatEntered(seconds, 's')}
      read={readSeconds}
      onValue={onChange}
      onProblem={problems.of(label)}
      width={6}
    />
  );
}

/** From which supply, with which chip, quiet or not, out of which values. */
export function ChipWords<P extends Common>({
  params,
  style,
  problems,
  chips = 'chip',
  onChange,
}: WishProps<P> & { chips?: string }) {
  return (
    <>
      , from{' '}
      <SupplyWords
        supply={params.supply}
        problems={problems}
        onChange={(supply) => onChange({ ...params, supply })}
      />
      , with {chips === 'chip' ? 'a ' : ''}
      <Choice
        label="Family of the chip"
        value={params.family}
        names={TIMER_FAMILIES.map((family) => [family, FAMILY_NAMES[family]])}
        onChoose={(family) => onChange({ ...params, family })}
      />{' '}
      {chips},{' '}
      <Choice
        label="Small capacitors"
        value={params.quiet ? 'with' : 'without'}
        names={[
          ['without', 'bare'],
          ['with', 'kept quiet by two small capacitors each'],
        ]}
        onChoose={(quiet) => onChange({ ...params, quiet: quiet === 'with' })}
      />
      , <ValuesWord params={params} style={style} onChange={onChange} />.
    </>
  );
}

/** Values that were taken by hand go with the time they were taken for. */
export function anew<P extends { taken?: unknown }>(params: P): P {
  const { taken: _gone, ...rest } = params;
  return rest as P;
}

export function BlinkWish(props: WishProps<ParamsOf<'blink'>>) {
  const { params, problems, onChange } = props;
  const set = (change: Partial<ParamsOf<'blink'>>) => onChange({ ...anew(params), ...change });
  return (
    <>
      Let one <LampWord lamp={params.lamp} onChange={(lamp) => set({ lamp })} /> lamp be lit for{' '}
      <SecondsWord label="Lit for" seconds={params.on} problems={problems} onChange={(on) => set({ on })} />{' '}
      and dark for{' '}
      <SecondsWord
        label="Dark for"
        seconds={params.off}
        problems={problems}
        onChange={(off) => set({ off })}
      />
      , at about{' '}
      <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => onChange({ ...params, amps })} />
      <ChipWords {...props} chips="chip" />
    </>
  );
}

const NO_SECOND = 'none';

export function BlinkSimpleWish(props: WishProps<ParamsOf<'blink-simple'>>) {
  const { params, problems, onChange } = props;
  const set = (change: Partial<ParamsOf<'blink-simple'>>) => onChange({ ...anew(params), ...change });
  const second = params.second ?? NO_SECOND;
  return (
    <>
      Let one <LampWord lamp={params.lamp} onChange={(lamp) => set({ lamp })} /> lamp blink,{' '}
      <Choice
        label="Second lamp"
        value={second === NO_SECOND ? 'alone' : 'in turn'}
        names={[
          ['alone', 'alone'],
          ['in turn', 'in turn with a second'],
        ]}
        onChoose={(way) => set({ second: way === 'alone' ? undefined : 'green' })}
      />
      {params.second && (
        <>
          {' '}
          <LampWord
            label="Colour of the second lamp"
            lamp={params.second}
            onChange={(lamp) => set({ second: lamp })}
          />{' '}
          one
        </>
      )}
      , once round in{' '}
      <SecondsWord
        label="Once round in"
        seconds={params.seconds}
        problems={problems}
        onChange={(seconds) => set({ seconds })}
      />
      , at about <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => set({ amps })} />
      <ChipWords {...props} />
    </>
  );
}

export function OneShotWish(props: WishProps<ParamsOf<'one-shot'>>) {
  const { params, problems, onChange } = props;
  const set = (change: Partial<ParamsOf<'one-shot'>>) => onChange({ ...anew(params), ...change });
  return (
    <>
      One press, and one <LampWord lamp={params.lamp} onChange={(lamp) => set({ lamp })} /> lamp is lit for{' '}
      <SecondsWord
        label="Lit for"
        seconds={params.seconds}
        problems={problems}
        onChange={(seconds) => set({ seconds })}
      />
      , at about{' '}
      <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => onChange({ ...params, amps })} />
      <ChipWords {...props} />
    </>
  );
}

export function AlternateWish(props: WishProps<ParamsOf<'alternate'>>) {
  const { params, problems, onChange } = props;
  const set = (change: Partial<ParamsOf<'alternate'>>) => onChange({ ...anew(params), ...change });
  const [first, second] = params.lamps;
  return (
    <>
      Let{' '}
      <Typed
        label="Flashes of a burst"
        value={String(params.flashes)}
        read={countReader('Lesson', 'number of flashes', 2, 40)}
        onValue={(flashes) => set({ flashes })}
        onProblem={problems.of('flashes')}
        width={2}
      />{' '}
      flashes of{' '}
      <LampWord label="First colour" lamp={first} onChange={(lamp) => set({ lamps: [lamp, second] })} />{' '}
      follow as many of{' '}
      <LampWord label="Second colour" lamp={second} onChange={(lamp) => set({ lamps: [first, lamp] })} />,{' '}
      <SecondsWord
        label="From flash to flash"
        seconds={params.flash}
        problems={problems}
        onChange={(flash) => set({ flash })}
      />{' '}
      from flash to flash, at about{' '}
      <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => set({ amps })} />
      <ChipWords {...props} chips="chips" />
    </>
  );
}

const TURNS = ['first', 'second', 'third'] as const;

export function ChainWish(props: WishProps<ParamsOf<'chain'>>) {
  const { params, problems, onChange } = props;
  const set = (change: Partial<ParamsOf<'chain'>>) => onChange({ ...anew(params), ...change });
  const replaced = <T,>(list: readonly [T, T, T], i: number, value: T) =>
    list.map((old, k) => (k === i ? value : old)) as [T, T, T];
  return (
    <>
      In turn:{' '}
      {TURNS.map((turn, i) => (
        <span key={turn}>
          {i > 0 && (i === 2 ? ' and ' : ', ')}
          <LampWord
            label={`The ${turn} lamp`}
            lamp={params.lamps[i]!}
            onChange={(lamp: LampType) => set({ lamps: replaced(params.lamps, i, lamp) })}
          />{' '}
          for{' '}
          <SecondsWord
            label={`Seconds of the ${turn}`}
            seconds={params.seconds[i]!}
            problems={problems}
            onChange={(seconds) => set({ seconds: replaced(params.seconds, i, seconds) })}
          />
        </span>
      ))}
      , over and over, at about{' '}
      <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => set({ amps })} />
      <ChipWords {...props} chips="chips" />
    </>
  );
}

const readHertz = readWithin('A pitch', 'Hz', 20, 1e7);

/** A tone near a pitch, from a speaker and a chip; whether it shall `sound`, or `sounds` on its own terms. */
export function SoundWords<P extends ParamsOf<'tone'>>(props: WishProps<P> & { verb: 'sound' | 'sounds' }) {
  const { params, problems, verb, onChange } = props;
  return (
    <>
      a tone near{' '}
      <Typed
        label="Pitch"
        value={formatEntered(params.hertz, 'Hz')}
        read={readHertz}
        onValue={(hertz) => onChange({ ...anew(params), hertz })}
        onProblem={problems.of('pitch')}
        width={7}
      />{' '}
      {verb}, with about{' '}
      <AmpsWord
        label="Current of the speaker"
        amps={params.amps}
        problems={problems}
        onChange={(amps) => onChange({ ...params, amps })}
      />{' '}
      in the speaker
      <ChipWords {...props} />
    </>
  );
}

export function ToneWish(props: WishProps<ParamsOf<'tone'>>) {
  return (
    <>
      Let <SoundWords {...props} verb="sound" />
    </>
  );
}
