import { useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { looksWords } from '@/messages/seen';
import type { Looked } from '@/server/practice';
import type { BenchName } from '@/server/standins/benches';
import { heard } from '@/ui/heard';
import { Problem } from '@/ui/Problem';
import { looksOfBench, whatItWas } from './actions';
import { LampGlow } from './LampGlow';
import { Sweep } from './Sweep';

interface Props {
  readonly bench: BenchName;
  readonly nickname: string;
  readonly usual: number | undefined;
  onMend(): void;
}

/** One made-up bench as one stands before it: its lamps, its supply, and what was wrong once one gives in. */
export function AtTheBench({ bench, nickname, usual, onMend }: Props) {
  const [looked, setLooked] = useState<Looked>();
  const [was, setWas] = useState('');
  const [problem, setProblem] = useState('');
  const [turned, setTurned] = useState(false);
  const { sessionId, seed, bench: number, mended } = bench;
  useEffect(() => {
    let here = true;
    void heard(looksOfBench({ sessionId, seed, bench: number, mended })).then((answer) => {
      if (!here) return;
      if (answer.ok) setLooked(answer.value);
      else setProblem(answer.message);
    });
    return () => {
      here = false;
    };
  }, [sessionId, seed, number, mended]);
  const tell = async () => {
    const answer = await heard(whatItWas(bench));
    if (answer.ok) setWas(answer.value);
    setProblem(answer.ok ? '' : answer.message);
  };
  return (
    <section className="at-the-bench" aria-label={`Bench ${number} as it stands`}>
      <div className="bench-looks">
        <strong>
          Bench {number}, {nickname}
          {mended && <span className="soft"> (mended)</span>}
        </strong>
        {!looked && !problem && <span className="soft">is being built …</span>}
        {looked && (
          <span role="status">
            {Object.entries(looked.looks).map(([lamp, look]) => (
              <LampGlow key={lamp} lamp={lamp} look={look} />
            ))}
            <span className="soft">{seenWords(looked)}</span>
          </span>
        )}
      </div>
      <div className="button-row">
        {!mended && (
          <Button size="sm" variant="quiet" onClick={onMend}>
            Put it right
          </Button>
        )}
        {usual !== undefined && (
          <Button size="sm" variant="quiet" aria-expanded={turned} onClick={() => setTurned(!turned)}>
            Turn its supply
          </Button>
        )}
        {was ? (
          <span role="status">
            <strong>It was:</strong> {was}.
          </span>
        ) : (
          <Button variant="text" className="btn-text" onClick={() => void tell()}>
            tell me what it was
          </Button>
        )}
      </div>
      <Problem>{problem}</Problem>
      {turned && usual !== undefined && <Sweep bench={bench} usual={usual} />}
    </section>
  );
}

/** What there is to be seen, as one would say it. */
function seenWords({ looks, otherColour, hot }: Looked): string {
  return [
    looksWords(looks),
    ...(otherColour ? [`${otherColour} shines in another colour`] : []),
    ...(hot ? ['something gets hot'] : []),
  ].join('; ');
}
