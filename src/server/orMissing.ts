import { Missing } from './failures';

/** What was asked for, or undefined when it is not there: pages then say so and show a way on. */
export async function orMissing<T>(work: Promise<T>): Promise<T | undefined> {
  try {
    return await work;
  } catch (error) {
    if (error instanceof Missing) return undefined;
    throw error;
  }
}
