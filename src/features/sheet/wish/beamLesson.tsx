import { BEAM_LAMPS, formatEntered, ROOMS, type ParamsOf } from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import { readWithin } from '@/features/wish/readers';
import { SCENE_WORDS } from '@/messages/light';
import { lampName } from '@/messages/names';
import { AmpsWord } from './CommonWords';
import { SoundWords } from './timerLessons';
import type { WishProps } from './wishProps';

const readMetres = readWithin('A distance', 'm', 0.02, 20);
const rooms = ROOMS.map((room): [(typeof ROOMS)[number], string] => [room, SCENE_WORDS[room]]);

export function BeamAlarmWish(props: WishProps<ParamsOf<'beam-alarm'>>) {
  const { params, problems, onChange } = props;
  const { beam } = params;
  const shine = (change: Partial<typeof beam>) => onChange({ ...params, beam: { ...beam, ...change } });
  return (
    <>
      Let one{' '}
      <Choice
        label="Colour of the lamp"
        value={beam.lamp}
        names={BEAM_LAMPS.map((lamp) => [lamp, lampName(lamp)])}
        onChoose={(lamp) => shine({ lamp })}
      />{' '}
      lamp at about{' '}
      <AmpsWord
        label="Current of the lamp"
        amps={beam.amps}
        problems={problems}
        onChange={(amps) => shine({ amps })}
      />{' '}
      shine on a sensor over{' '}
      <Typed
        label="Distance"
        value={formatEntered(beam.metres, 'm')}
        read={readMetres}
        onValue={(metres) => shine({ metres })}
        onProblem={problems.of('distance')}
        width={6}
      />
      ,{' '}
      <Choice
        label="Lens"
        value={beam.lens ? 'with' : 'without'}
        names={[
          ['with', 'with a lens'],
          ['without', 'without a lens'],
        ]}
        onChoose={(lens) => shine({ lens: lens === 'with' })}
      />{' '}
      and{' '}
      <Choice
        label="Hood"
        value={beam.hood ? 'with' : 'without'}
        names={[
          ['with', 'a hood over the sensor'],
          ['without', 'the sensor open'],
        ]}
        onChoose={(hood) => shine({ hood: hood === 'with' })}
      />
      , <Choice label="Room" value={beam.room} names={rooms} onChoose={(room) => shine({ room })} />; when the
      beam is cut, <SoundWords {...props} verb="sounds" />
    </>
  );
}
