import Button from 'react-bootstrap/Button';
import { Note } from './Note';

/** A field by its name, and what stands in it. */
export type Shown = readonly (readonly [name: string, text: string])[];

interface Props<Value> {
  readonly saving: {
    readonly problem: string;
    readonly overtaken: { readonly mine: Value; readonly theirs: Value } | undefined;
    keepMine(): void;
    takeTheirs(): void;
  };
  /** A version as its fields, in the order of the form. */
  shown(value: Value): Shown;
}

/** Why something was not saved; where somebody else saved it in between, both versions side by side and a way on. */
export function Overtaken<Value>({ saving, shown }: Props<Value>) {
  const { problem, overtaken } = saving;
  if (!problem) return null;
  return (
    <Note kind="refusal" live>
      {problem}
      {overtaken && <Both mine={shown(overtaken.mine)} theirs={shown(overtaken.theirs)} />}
      {overtaken && (
        <div className="button-row pt-2">
          <Button size="sm" variant="quiet" onClick={saving.takeTheirs}>
            Load theirs
          </Button>
          <Button size="sm" variant="quiet" onClick={saving.keepMine}>
            Save mine over it
          </Button>
        </div>
      )}
    </Note>
  );
}

/** The fields in which two versions differ. */
export function Both({ mine, theirs }: { mine: Shown; theirs: Shown }) {
  const own = new Map(mine);
  const other = new Map(theirs);
  const names = [...new Set([...own.keys(), ...other.keys()])].filter(
    (name) => own.get(name) !== other.get(name),
  );
  if (names.length === 0) return <p className="mb-0">Both say the same.</p>;
  return (
    <table className="table both">
      <thead>
        <tr>
          <th />
          <th scope="col">yours</th>
          <th scope="col">theirs</th>
        </tr>
      </thead>
      <tbody>
        {names.map((name) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td>{own.get(name) ?? '–'}</td>
            <td>{other.get(name) ?? '–'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
