import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { EXTRAS_MOST, type Extra } from '@/core';

interface Props {
  readonly extras: readonly Extra[];
  onExtras(extras: readonly Extra[]): void;
}

const IDEAS = 'a jar as a lens, a paper diffuser, a hood, a cord, spacers';

/** What the lesson wants besides its circuit: packed with the kit, and fitted by the last steps of the card. */
export function ExtrasSection({ extras, onExtras }: Props) {
  const put = (index: number, change: Partial<Extra>) =>
    onExtras(extras.map((extra, i) => (i === index ? { ...extra, ...change } : extra)));
  const rename = (index: number, name: string) => {
    if (name.trim() !== '') put(index, { name });
  };
  return (
    <section className="ruled">
      <h2>Besides the circuit</h2>
      {extras.length === 0 && <p className="small-print pt-2">Nothing yet. Many lessons want {IDEAS}.</p>}
      {extras.map((extra, i) => (
        <div key={i} className="extra-row">
          <Form.Control
            size="sm"
            aria-label={`Thing ${i + 1}`}
            maxLength={40}
            defaultValue={extra.name}
            onBlur={(event) => {
              rename(i, event.target.value);
              event.target.value = event.target.value.trim() || extra.name;
            }}
          />
          <Form.Control
            size="sm"
            type="number"
            min={1}
            max={50}
            className="extra-count"
            aria-label={`Number of ${extra.name} for one student`}
            value={extra.each}
            onChange={(event) => put(i, { each: Math.max(1, Math.min(50, Number(event.target.value) || 1)) })}
          />
          <Form.Control
            size="sm"
            aria-label={`What is done with ${extra.name}`}
            placeholder="what is done with it, as a last step"
            maxLength={200}
            value={extra.use}
            onChange={(event) => put(i, { use: event.target.value })}
          />
          <Button
            variant="text"
            className="btn-text"
            aria-label={`Take ${extra.name} off the list`}
            onClick={() => onExtras(extras.filter((_, k) => k !== i))}
          >
            take off
          </Button>
        </div>
      ))}
      {extras.length < EXTRAS_MOST && (
        <Button
          variant="quiet"
          size="sm"
          onClick={() => onExtras([...extras, { name: newName(extras), each: 1, use: '' }])}
        >
          Add a thing
        </Button>
      )}
    </section>
  );
}

function newName(extras: readonly Extra[]): string {
  const taken = new Set(extras.map(({ name }) => name));
  let number = extras.length + 1;
  while (taken.has(`thing ${number}`)) number++;
  return `thing ${number}`;
}
