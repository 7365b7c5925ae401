import type { Knex } from 'knex';

/** What of a lesson's choice is looked at here. */
interface Choice {
  build?: Record<string, unknown>;
}

const BEFORE = { board: 'half', spacing: 'clear', held: 'upright' };

/** Every lesson with its choice changed; what cannot be read stays as it is. */
async function changed(db: Knex, change: (choice: Choice) => Choice): Promise<void> {
  const rows = (await db('lessons').select('id', 'choice')) as { id: number; choice: string }[];
  for (const { id, choice } of rows) {
    const next = parsed(choice);
    if (next)
      await db('lessons')
        .where({ id })
        .update({ choice: JSON.stringify(change(next)) });
  }
}

function parsed(text: string): Choice | undefined {
  try {
    const value: unknown = JSON.parse(text);
    return typeof value === 'object' && value !== null ? value : undefined;
  } catch {
    return undefined;
  }
}

/** Lessons from before legs stood in the rails keep the places that their parts had, until somebody asks for the other. */
async function up(db: Knex): Promise<void> {
  await changed(db, (choice) => ({ ...choice, build: { ...BEFORE, ...choice.build, rails: 'wires only' } }));
}

async function down(db: Knex): Promise<void> {
  await changed(db, (choice) => {
    if (!choice.build) return choice;
    const { rails: _gone, ...build } = choice.build;
    return { ...choice, build };
  });
}

export const rails = { name: '010_rails', up, down };
