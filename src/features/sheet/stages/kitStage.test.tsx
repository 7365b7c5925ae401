/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { row, said, screen, show } from '../../../../tests/support/screen';
import { requestWith, sheetWith } from '../../../../tests/support/sheets';
import { DEFAULT_STYLE } from '@/core';
import { KitStage } from './KitStage';

jest.mock('@/workers/client', () => jest.requireActual('../../../../tests/support/inProcess'));

const GROUPS = [
  { id: 3, name: 'Tern', students: 14 },
  { id: 4, name: 'Plover', students: 11 },
];

describe('the kit of a lesson', () => {
  it('is counted for the group that has it next, and for any other that is chosen', async () => {
    const sheet = sheetWith({}, { students: 14 });
    const { user, container } = show(
      <KitStage
        sheet={sheet}
        request={requestWith()}
        style={DEFAULT_STYLE}
        groups={GROUPS}
        nextGroup={3}
        csvHref="/kit.csv"
        extras={[]}
        onExtras={() => undefined}
      />,
    );
    const forAll = () => said(row(/LED|lamp, red|D1/u).querySelectorAll('td')[1]!);
    expect(said(container)).toContain('Kit for 14 students, Tern');
    expect(forAll()).toBe('14');
    await user.selectOptions(screen.getByLabelText('Counted for'), '4');
    await waitFor(() => expect(said(container)).toContain('Kit for 11 students, Plover'));
    expect(forAll()).toBe('11');
    expect(screen.getByRole('link', { name: 'Save as CSV' }).getAttribute('href')).toBe('/kit.csv?group=4');
  });
});
