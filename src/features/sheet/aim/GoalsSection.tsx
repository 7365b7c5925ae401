import type { Goal } from '@/core';
import { goalWords } from '@/messages/goals';
import { StatusMark } from '@/ui/StatusMark';

/** The aim as conditions, each checked on the solved circuit. */
export function GoalsSection({ goals }: { goals: readonly Goal[] }) {
  return (
    <section className="ruled">
      <h2>What the circuit must do, as solved</h2>
      <ul>
        {goals.map((goal) => (
          <li key={`${goal.code} ${goal.age}`}>
            <StatusMark status={goal.met ? 'right' : 'off'} /> {goalWords(goal)}
          </li>
        ))}
      </ul>
    </section>
  );
}
