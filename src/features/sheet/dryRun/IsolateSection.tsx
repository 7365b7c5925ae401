import { formatOhms, type Sheet } from '@/core';
import { parkingPlace, parkingSeen } from '@/messages/isolate';

/** Of two halves, which is wrong: each by itself on the finished board, and what it shows where it is right. */
export function IsolateSection({ sheet }: { sheet: Sheet }) {
  const { isolations } = sheet;
  return (
    <section className="ruled">
      <h2>One half alone</h2>
      <p className="pt-2 mb-1">
        Pull one chip out with the power off, and park its output row on a rail through{' '}
        {formatOhms(isolations[0]!.ohms)}. What the other half does then is its own.
      </p>
      <table className="table">
        <thead>
          <tr>
            <th scope="col">half</th>
            <th scope="col">the resistor</th>
            <th scope="col">right, it shows</th>
          </tr>
        </thead>
        <tbody>
          {isolations.flatMap((isolation) =>
            isolation.parkings.map((parking) => (
              <tr key={`${isolation.chip} ${parking.rail}`}>
                <th scope="row">
                  {isolation.chip}, without {isolation.without}
                </th>
                <td>{parkingPlace(parking)}</td>
                <td>{parkingSeen(parking, isolation, sheet)}</td>
              </tr>
            )),
          )}
        </tbody>
      </table>
    </section>
  );
}
