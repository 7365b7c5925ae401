import { BANDS, formatQuantity, type SoundSums } from '@/core';
import { BAND_HEARD, BAND_WORDS, channelLook, cornerLines, stageLines } from '@/messages/sound';
import { listWords } from '@/messages/stepWords';
import { Heads } from '@/ui/Heads';
import { SumRows } from '../sums/SumBlockTable';

const H = (hertz: number) => formatQuantity(hertz, 'Hz', 2);

/** From the sound lead to the lamps: the first stage, each channel's filter, and which lamps light at which tone. */
export function SoundWork({ sound }: { sound: SoundSums }) {
  return (
    <>
      <section className="ruled">
        <h2>The first stage</h2>
        <table className="table sums">
          <tbody>
            <SumRows lines={stageLines(sound)} />
          </tbody>
        </table>
      </section>
      {sound.channels.map((channel) => (
        <section key={channel.band} className="ruled">
          <h2>
            The {BAND_WORDS[channel.band]} channel, {BAND_HEARD[channel.band]}
          </h2>
          <table className="table sums">
            <tbody>
              <SumRows lines={cornerLines(channel)} />
            </tbody>
          </table>
        </section>
      ))}
      <section className="ruled">
        <h2>Which lamps light at which tone</h2>
        <table className="table">
          <Heads
            columns={[
              ['channel'],
              ['lamps'],
              ...sound.channels.map(({ tone }) => [H(tone), 'amount'] as const),
            ]}
          />
          <tbody>
            {sound.channels.map(({ band, lamps, at }) => (
              <tr key={band}>
                <th scope="row">{BAND_WORDS[band]}</th>
                <td>{listWords(lamps)}</td>
                {BANDS.map((tone) => (
                  <td key={tone} className={tone === band ? 'amount strong' : 'amount'}>
                    {channelLook(at[tone])}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        <p className="small-print pt-2">
          Means, as a meter shows them: at its tone a lamp is on for a part of every swing.
        </p>
      </section>
    </>
  );
}
