/**
 * Who may do what. Every page, file and action of the program has its line here; a test lists them from the source
 * and tries each as somebody else.
 */
export const ROLES = ['educator', 'helper', 'student'] as const;
export type Role = (typeof ROLES)[number];

type Admitted = readonly (Role | 'anyone')[];

const EDUCATOR = ['educator'] as const;
const AT_THE_BENCHES = ['educator', 'helper'] as const;
const ANYONE = ['anyone'] as const;

/** Pages and files by their path; a helper or student comes only to their own session's. */
export const ROUTES = {
  '/': EDUCATOR,
  '/bench': ['student'],
  '/cheat-sheet': EDUCATOR,
  '/check': EDUCATOR,
  '/check/[id]': AT_THE_BENCHES,
  '/circuits': EDUCATOR,
  '/classes': EDUCATOR,
  '/classes/[id]': EDUCATOR,
  '/classes/student/[id]': EDUCATOR,
  '/glossary': EDUCATOR,
  '/jobs/[id]': EDUCATOR,
  '/join': ANYONE,
  '/lessons': EDUCATOR,
  '/lessons/[id]': EDUCATOR,
  '/lessons/[id]/kit.csv': EDUCATOR,
  '/lessons/[id]/lesson.json': EDUCATOR,
  '/logbook': EDUCATOR,
  '/logbook/export.csv': EDUCATOR,
  '/print/[id]/[what]': EDUCATOR,
  '/settings': EDUCATOR,
  '/settings/backup.sqlite': EDUCATOR,
  '/sign-in': ANYONE,
  '/store': EDUCATOR,
} as const satisfies Readonly<Record<string, Admitted>>;

export type Route = keyof typeof ROUTES;

/** What changes something, by the name of the action. */
export const ACTIONS = {
  backUpNow: EDUCATOR,
  changeDay: EDUCATOR,
  changeLamp: EDUCATOR,
  changeStock: EDUCATOR,
  changeStudent: EDUCATOR,
  endCode: EDUCATOR,
  enrol: EDUCATOR,
  eraseStudent: EDUCATOR,
  firstPassphrase: ANYONE,
  giveLesson: EDUCATOR,
  importLesson: EDUCATOR,
  join: ANYONE,
  keepBattery: EDUCATOR,
  keepLesson: EDUCATOR,
  keepMeter: EDUCATOR,
  keepReading: AT_THE_BENCHES,
  keepStyle: EDUCATOR,
  keepWords: EDUCATOR,
  letLeave: EDUCATOR,
  lessonLines: EDUCATOR,
  makeCode: EDUCATOR,
  newGroup: EDUCATOR,
  newPassphrase: EDUCATOR,
  newStock: EDUCATOR,
  putAwayBattery: EDUCATOR,
  putAwayGroup: EDUCATOR,
  putAwayLesson: EDUCATOR,
  putAwaySession: EDUCATOR,
  renameGroup: EDUCATOR,
  renewSession: EDUCATOR,
  signIn: ANYONE,
  signOut: ANYONE,
  signOutEverywhere: EDUCATOR,
  startLesson: EDUCATOR,
  stopWork: EDUCATOR,
  takeBackRenewal: EDUCATOR,
  takeOutStock: EDUCATOR,
  tick: EDUCATOR,
  whatRenewalChanges: EDUCATOR,
} as const satisfies Readonly<Record<string, Admitted>>;

export type ActionName = keyof typeof ACTIONS;

/** Whether somebody of a role, or nobody known, is let in. */
export function isAdmitted(admitted: Admitted, role: Role | undefined): boolean {
  return admitted.includes('anyone') || (role !== undefined && admitted.includes(role));
}
