import { redirect } from 'next/navigation';
import { failed, failedForNow, guardedWork, type Answer, type Theirs } from '../failures';
import { ACTIONS, isAdmitted, ROUTES, type ActionName, type Route } from './table';
import { who, type Who } from './who';

/**
 * Lets a page be seen by those it is for; others are led to where they can come in.
 *
 * @param session the session that the page is about: a helper or student sees only their own
 */
export async function admit(route: Route, session?: number): Promise<Who | undefined> {
  const asking = await who();
  if (isAdmitted(ROUTES[route], asking?.role) && isOwn(asking, session)) return asking;
  redirect(asking ? homeOf(asking) : '/sign-in');
}

/** The same for a file: what is answered to those it is not for. */
export async function refusedFile(route: Route, session?: number): Promise<Response | undefined> {
  const asking = await who();
  if (isAdmitted(ROUTES[route], asking?.role) && isOwn(asking, session)) return undefined;
  return new Response(asking ? 'This is not yours to see.' : 'Sign in first.', {
    status: asking ? 403 : 401,
  });
}

/** Where somebody is at home who asked for what is not theirs. */
export function homeOf({ role, session }: Who): string {
  return role === 'helper' ? `/check/${session}` : role === 'student' ? '/bench' : '/';
}

/**
 * Runs an action for those it is for, and turns what goes wrong outside the program into sentences.
 *
 * @param theirs what stands in the database now, for work that somebody else's has overtaken
 */
export async function guarded<T, Kept = never>(
  action: ActionName,
  work: (asking: Who | undefined) => Promise<Answer<T, Kept>>,
  theirs?: () => Promise<Theirs<Kept>>,
): Promise<Answer<T, Kept>> {
  return guardedWork(async () => {
    const asking = await who();
    if (!isAdmitted(ACTIONS[action], asking?.role)) {
      return asking
        ? failed('Not done: that is for the educator.')
        : failedForNow(
            'Not done: you are not signed in any more. Sign in in another tab, then try again; what you typed stays here.',
          );
    }
    return work(asking);
  }, theirs);
}

/**
 * @param student whose bench it is about
 * @returns why somebody who came in by a code may not do that in a session, or nothing where they may
 */
export function notTheirs(asking: Who | undefined, session: number, student?: number): string | undefined {
  if (!isOwn(asking, session)) return 'Not done: your code is for another session.';
  const benches = [asking?.seat, ...(asking?.freed ?? [])];
  if (
    asking?.role === 'student' &&
    !benches.some((seat) => seat?.sessionId === session && seat.studentId === student)
  )
    return 'Not done: that is another bench than yours.';
  return undefined;
}

function isOwn(asking: Who | undefined, session: number | undefined): boolean {
  return asking?.session === undefined || session === undefined || asking.session === session;
}
