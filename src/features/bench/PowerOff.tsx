import Button from 'react-bootstrap/Button';

/** Something is hot, smokes or smells: what to do, and nothing else, until it is cold. */
export function PowerOff({ onCold }: { onCold(): void }) {
  return (
    <section role="alert" className="bench-alarm">
      <h1>Power off, now.</h1>
      <ol>
        <li>Pull the lead of the supply. Touch nothing that is hot.</li>
        <li>Step back and call your educator.</li>
        <li>A burn goes under cool running water at once.</li>
      </ol>
      <p>Nothing is measured until it is cold and your educator has looked.</p>
      <Button size="lg" variant="quiet" onClick={onCold}>
        It is off and cold
      </Button>
    </section>
  );
}
