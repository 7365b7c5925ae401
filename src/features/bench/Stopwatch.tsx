import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';

/** A watch beside a field of seconds. */
export function Stopwatch({ onStop }: { onStop(typed: string): void }) {
  const [running, setRunning] = useState(false);
  const started = useRef(0);
  const press = () => {
    if (running) onStop(((performance.now() - started.current) / 1000).toFixed(1));
    else started.current = performance.now();
    setRunning(!running);
  };
  return (
    <Button size="lg" variant="quiet" className="tap" aria-pressed={running} onClick={press}>
      {running ? 'It went out: stop' : 'It comes on: start the watch'}
    </Button>
  );
}
