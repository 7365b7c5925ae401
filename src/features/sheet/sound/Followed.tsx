import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import {
  formatPercent,
  formatQuantity,
  LIT_AMPS,
  type Music,
  type Sheet,
  type TestSound,
  sumsIn,
} from '@/core';
import { saveTable } from '@/features/hooks/saveTable';
import { LAMP_DRAWN } from '@/features/plan/palette';
import { saveSvg } from '@/features/plan/saveSvg';
import { lampName } from '@/messages/names';
import { BAND_HEARD, channelLook } from '@/messages/sound';
import { listWords } from '@/messages/stepWords';
import { slug } from '@/ui/download';
import { HearIt } from './HearIt';
import { MusicChart, type MusicRow } from './MusicChart';
import type { Listening } from './useListening';

interface Props {
  readonly sheet: Sheet;
  readonly title: string;
  readonly listening: Listening;
  readonly sound: TestSound | Music | undefined;
  readonly playing: TestSound | 'file';
}

/** The chart with its ruler, what is so under it, and the sound to be heard beside it. */
export function Followed({ listening, sheet, title, sound, playing }: Props) {
  const { frame, loud, followed, lamps } = listening;
  const [at, setAt] = useState(0);
  const chart = useRef<SVGSVGElement>(null);
  const audio = useRef<HTMLAudioElement>(null);
  const channels = sumsIn(sheet.sums, 'sound')?.sound.channels ?? [];
  const rows = channels.flatMap(({ band, lamps: own }): MusicRow[] => {
    const amps = lamps[own[0]!];
    if (!amps) return [];
    const sort = sheet.sorts[own[0]!] ?? 'red';
    const counted = followed > 0 ? amps.subarray(0, followed) : amps;
    const lit = counted.reduce((sum, value) => sum + (value >= LIT_AMPS ? 1 : 0), 0);
    return [
      {
        key: band,
        name: listWords(own),
        about: `${BAND_HEARD[band]}, ${lampName(sort).replace(/ \(.*/u, '')}`,
        fill: LAMP_DRAWN[sort].fill,
        amps,
        litShare: `lit ${formatPercent(lit / Math.max(1, counted.length))}`,
      },
    ];
  });
  const place = Math.min(loud.length - 1, Math.floor(at / frame + 1e-9));
  const said = channels
    .map(({ lamps: own }) => `${listWords(own)} ${channelLook(lamps[own[0]!]?.[place] ?? 0)}`)
    .join('; ');
  const move = (seconds: number) => {
    setAt(seconds);
    if (audio.current) audio.current.currentTime = seconds;
  };
  return (
    <>
      <MusicChart {...{ rows, loud, frame, followed, at, said }} svgRef={chart} onAt={move} />
      <p className="instant-words" role="status">
        <strong>At {at === 0 ? '0 s' : formatQuantity(at, 's', 3)}.</strong> {said}.
        {place >= followed ? ' Roughly: this place has not been followed yet.' : ''}
      </p>
      <div className="day-tools no-print">
        {sound && (
          <HearIt
            key={playing}
            sound={sound}
            audio={audio}
            onTime={(seconds) => setAt(Math.min(loud.length * frame, seconds))}
          />
        )}
        <span>
          <Button
            variant="quiet"
            size="sm"
            onClick={() => saveSvg(chart.current, `${slug(title)}-${playing}`)}
          >
            Save as SVG
          </Button>{' '}
          <Button
            variant="quiet"
            size="sm"
            disabled={listening.state !== 'done'}
            onClick={() => saveCsv(`${slug(title)}-${playing}.csv`, listening)}
          >
            Save as CSV
          </Button>
        </span>
      </div>
    </>
  );
}

function saveCsv(name: string, { frame, lamps }: Listening): void {
  const ids = Object.keys(lamps);
  const count = lamps[ids[0]!]?.length ?? 0;
  const rows = Array.from({ length: count }, (_, i) => [
    Number((i * frame).toFixed(3)),
    ...ids.map((id) => lamps[id]![i]!),
  ]);
  saveTable(name, ['seconds', ...ids.map((id) => `A ${id}`)], rows);
}
