import type { Goal, SourceChoice } from '@/core';
import { goalWords } from '@/messages/goals';
import { StatusMark } from '@/ui/StatusMark';

/** The aim as conditions, each checked on the solved circuit. */
export function GoalsSection({ goals, supply }: { goals: readonly Goal[]; supply: SourceChoice }) {
  return (
    <section className="ruled">
      <h2>What the circuit must do, as solved</h2>
      <ul>
        {goals.map((goal) => (
          <li key={`${goal.code} ${goal.age}`}>
            <StatusMark status={goal.met ? 'right' : 'off'} /> {goalWords(goal, supply)}
          </li>
        ))}
      </ul>
    </section>
  );
}
