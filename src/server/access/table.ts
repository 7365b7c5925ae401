/**
 * Who may do what. Every page, file and action of the program has its line here; a test lists them from the source
 * and tries each as somebody else.
 */
export const ROLES = ['educator', 'helper', 'student'] as const;
export type Role = (typeof ROLES)[number];

type Admitted = readonly (Role | 'anyone')[];

const EDUCATOR = ['educator'] as const;
const AT_THE_BENCHES = ['educator', 'helper'] as const;
const STUDENT = ['student'] as const;
const EVERYBODY_IN = ['educator', 'helper', 'student'] as const;
const ANYONE = ['anyone'] as const;

/** Pages and files by their path; a helper or student comes only to their own session's. */
export const ROUTES = {
  '/': EDUCATOR,
  '/bench': STUDENT,
  '/cheat-sheet': EDUCATOR,
  '/check': EDUCATOR,
  '/check/[id]': AT_THE_BENCHES,
  '/check/[id]/beside/[student]': AT_THE_BENCHES,
  '/check/[id]/live': AT_THE_BENCHES,
  '/check/[id]/photos/[photo]': AT_THE_BENCHES,
  '/check/[id]/practice': AT_THE_BENCHES,
  '/check/[id]/report': EDUCATOR,
  '/check/[id]/report.csv': EDUCATOR,
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
  adviceFor: STUDENT,
  backUpNow: EDUCATOR,
  changeDay: EDUCATOR,
  changeLamp: EDUCATOR,
  changeStock: EDUCATOR,
  changeStudent: EDUCATOR,
  closeRetestAt: EDUCATOR,
  contextChoicesOf: EDUCATOR,
  dropPhoto: AT_THE_BENCHES,
  endCode: EDUCATOR,
  enrol: EDUCATOR,
  eraseStudent: EDUCATOR,
  faultFound: EVERYBODY_IN,
  faultNotFound: AT_THE_BENCHES,
  firstPassphrase: ANYONE,
  freeBench: EDUCATOR,
  giveLesson: EDUCATOR,
  importLesson: EDUCATOR,
  join: ANYONE,
  keepBattery: EDUCATOR,
  keepContext: EDUCATOR,
  keepCorners: AT_THE_BENCHES,
  keepLesson: EDUCATOR,
  keepMarks: AT_THE_BENCHES,
  keepMeter: EDUCATOR,
  keepPhoto: EVERYBODY_IN,
  keepPictureDays: EDUCATOR,
  keepZone: EDUCATOR,
  keepReading: EVERYBODY_IN,
  keepStyle: EDUCATOR,
  keepWords: EDUCATOR,
  leaveBench: STUDENT,
  letLeave: EDUCATOR,
  lessonLines: EDUCATOR,
  looksOfBench: AT_THE_BENCHES,
  makeCode: EDUCATOR,
  meterReads: AT_THE_BENCHES,
  newGroup: EDUCATOR,
  newPassphrase: EDUCATOR,
  newStock: EDUCATOR,
  noteWhoIsThere: AT_THE_BENCHES,
  putAwayBattery: EDUCATOR,
  putAwayGroup: EDUCATOR,
  putAwayLesson: EDUCATOR,
  putAwaySession: EDUCATOR,
  readMeterAt: AT_THE_BENCHES,
  renameGroup: EDUCATOR,
  renewSession: EDUCATOR,
  setHints: EDUCATOR,
  shortFor: EDUCATOR,
  signIn: ANYONE,
  signOut: ANYONE,
  signOutEverywhere: EDUCATOR,
  startLesson: EDUCATOR,
  stopAdvice: STUDENT,
  stopWork: EDUCATOR,
  sweepSupply: AT_THE_BENCHES,
  takeBench: STUDENT,
  takeBackRenewal: EDUCATOR,
  takeOutStock: EDUCATOR,
  tick: EDUCATOR,
  whatItWas: AT_THE_BENCHES,
  whatRenewalChanges: EDUCATOR,
} as const satisfies Readonly<Record<string, Admitted>>;

export type ActionName = keyof typeof ACTIONS;

/** Whether somebody of a role, or nobody known, is let in. */
export function isAdmitted(admitted: Admitted, role: Role | undefined): boolean {
  return admitted.includes('anyone') || (role !== undefined && admitted.includes(role));
}
