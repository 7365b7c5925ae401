/** @jest-environment jsdom */
import { said, screen, show } from '../../tests/support/screen';
import { useFinder } from './useFinder';

interface Bird {
  readonly name: string;
  readonly weight: number;
}

const birds = (many: number): Bird[] =>
  Array.from({ length: many }, (_, i) => ({
    name: i === 77 ? 'Écluse' : `Bird ${i + 1}`,
    weight: (i * 37) % many,
  }));

function List({ many }: { many: number }) {
  const { shown, head, foot } = useFinder(birds(many), 'birds', ({ name }) => name, {
    'heaviest first': (a, b) => b.weight - a.weight,
  });
  return (
    <>
      {head}
      <ul>
        {shown.map(({ name, weight }) => (
          <li key={name}>{`${name} ${weight}`}</li>
        ))}
      </ul>
      {foot}
    </>
  );
}
const listed = () => screen.getAllByRole('listitem').map(said);

it('a short list has nothing beside it', () => {
  show(<List many={40} />);
  expect(listed()).toHaveLength(40);
  expect(screen.queryByRole('searchbox')).toBeNull();
});

it('a long one is shown a page at a time, searched without regard to accents, and ordered', async () => {
  const { user } = show(<List many={300} />);
  expect(listed()).toHaveLength(40);
  expect(said(screen.getByRole('status'))).toContain('40 of 300 are shown.');
  await user.click(screen.getByRole('button', { name: 'Show 40 more' }));
  expect(listed()).toHaveLength(80);
  const find = screen.getByRole('searchbox', { name: 'Find among 300 birds' });
  await user.type(find, 'ecluse');
  expect(listed()).toEqual([`Écluse ${(77 * 37) % 300}`]);
  await user.clear(find);
  await user.selectOptions(screen.getByLabelText('Order of birds'), 'heaviest first');
  expect(listed()[0]).toMatch(/ 299$/u);
  await user.type(find, 'gull');
  expect(screen.queryAllByRole('listitem')).toEqual([]);
  expect(said(screen.getByRole('status'))).toBe('No birds with “gull”.');
});

it('shows first what came while the list was open', () => {
  const Numbered = ({ numbers }: { numbers: readonly number[] }) => {
    const { shown } = useFinder(numbers, 'boats', String, {}, '', (one) => one);
    return <p role="status">{shown.slice(0, 3).join(' ')}</p>;
  };
  const all = Array.from({ length: 90 }, (_, i) => i + 1);
  const { rerender } = show(<Numbered numbers={all} />);
  expect(said(screen.getByRole('status'))).toBe('1 2 3');
  rerender(<Numbered numbers={[...all, 91]} />);
  expect(said(screen.getByRole('status'))).toBe('91 1 2');
});
