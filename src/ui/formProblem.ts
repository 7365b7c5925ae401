import type { FieldErrors } from 'react-hook-form';

/** The first thing that is wrong with a form: the path of its field, and what is said of it. */
export function formProblem(errors: FieldErrors): { path: string; message: string } | undefined {
  for (const [name, error] of Object.entries(errors)) {
    if (!error) continue;
    if (typeof error.message === 'string') return { path: name, message: error.message };
    const inner = formProblem(error as FieldErrors);
    if (inner) return { path: `${name} ${inner.path}`, message: inner.message };
  }
  return undefined;
}
