import type { Sheet } from '@/core';
import { talkFor } from '@/messages/talk';

/** What to ask before, say during and set after the lesson, with the lesson's own figures. */
export function TalkSection({ sheet }: { sheet: Sheet }) {
  const talk = talkFor(sheet);
  const rows: readonly (readonly [string, readonly string[]])[] = [
    ['ask first', talk.predict],
    ['the current’s way', [talk.path]],
    ['the volts add up', [talk.sum]],
    ['why each part', talk.parts],
    ['like', [talk.analogy]],
    ['half true', [talk.truth]],
    ['tools', [talk.tools.join(', ')]],
  ];
  return (
    <section className="ruled">
      <h2>To talk about</h2>
      <table className="table talk">
        <tbody>
          {rows.map(([name, lines]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td>
                {lines.map((line) => (
                  <p key={line} className="mb-1">
                    {line}
                  </p>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
