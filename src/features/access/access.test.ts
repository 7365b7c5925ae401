import fs from 'node:fs';
import path from 'node:path';
import { message, value } from '../../../tests/support/answers';
import { ownDatabase } from '../../../tests/support/database';
import { request } from '../../../tests/support/nextHeaders';
import { firstPassphrase, join, newPassphrase, signIn, signOut, signOutEverywhere } from './actions';
import { adviceFor, takeBench } from '@/features/bench/actions';
import { endCode, freeBench, keepReading, makeCode } from '@/features/check/actions';
import { enrol, newGroup } from '@/features/classes/actions';
import { startLesson } from '@/features/lessons/actions';
import { workOutFor } from '@/server/givenLesson';
import { group } from '@/server/repositories/groups';
import { addSession, archiveSession } from '@/server/repositories/sessions';
import { HERE } from '@/server/access/arrival';
import { firstToken } from '@/server/access/firstToken';
import { environment } from '@/server/env';
import { isPassphrase } from '@/server/access/secrets';
import { ACTIONS, isAdmitted, ROLES, ROUTES, type ActionName, type Route } from '@/server/access/table';
import { comeIn, who, type Who } from '@/server/access/who';

ownDatabase();
beforeAll(() => {
  // From here on it is a house of its own, and nobody is signed in.
  delete process.env['MIVVET_DEMO'];
});
beforeEach(() => request.asNobody());

const SRC = path.resolve(__dirname, '../..');
const filesUnder = (folder: string): string[] =>
  fs
    .readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => path.join(entry.parentPath, entry.name));
const APP = filesUnder(path.join(SRC, 'app')).filter((file) => /\/(page\.tsx|route\.ts)$/u.test(file));
const ACTION_FILES = filesUnder(SRC).filter(
  (file) => /\.tsx?$/u.test(file) && fs.readFileSync(file, 'utf8').startsWith("'use server'"),
);
const routeOf = (file: string) => {
  const folder = path.dirname(path.relative(path.join(SRC, 'app'), file));
  return folder === '.' ? '/' : `/${folder}`;
};

describe('the table of who may do what', () => {
  it('has every page and file of the program, and nothing that is not there', () => {
    expect(APP.map(routeOf).sort()).toEqual(Object.keys(ROUTES).sort());
  });

  it.each(APP.map((file) => [routeOf(file), file]))(
    'is asked by %s before it does anything',
    (route, file) => {
      const source = fs.readFileSync(file, 'utf8');
      const asks = file.endsWith('route.ts') ? `refusedFile('${route}'` : `admit('${route}'`;
      expect(source).toContain(asks);
      // Every function that answers a request asks first, the one that makes the title too.
      const answering = source.match(/export (?:default )?async function (?:\w+)[\s\S]*?\n\}\n/gu) ?? [];
      for (const body of answering) expect(body.indexOf(asks)).toBeGreaterThan(0);
      for (const body of answering) {
        const first = /await (?!params|searchParams)\(?(\w+)/u.exec(body.replace(/\(await params\)/gu, ''));
        expect(['admit', 'refusedFile']).toContain(first?.[1]);
      }
    },
  );

  it('has every action, and each asks under its own name', () => {
    const found: string[] = [];
    for (const file of ACTION_FILES) {
      const source = fs.readFileSync(file, 'utf8');
      for (const [body, name] of source.matchAll(/export async function (\w+)[\s\S]*?\n\}\n/gu)) {
        found.push(name!);
        expect(body).toMatch(new RegExp(`return guarded\\(\\s*'${name}'`, 'u'));
      }
      // Nothing else goes out of such a file.
      expect(source).not.toMatch(/^export (?!async function|interface|type)/mu);
    }
    expect(found.sort()).toEqual(Object.keys(ACTIONS).sort());
  });

  it('lets nobody do what is not theirs', () => {
    for (const admitted of [...Object.values(ROUTES), ...Object.values(ACTIONS)]) {
      const open = (admitted as readonly string[]).includes('anyone');
      expect(isAdmitted(admitted, undefined)).toBe(open);
      for (const role of ROLES)
        expect(isAdmitted(admitted, role)).toBe(open || (admitted as readonly string[]).includes(role));
    }
    const of = (role: string) =>
      [...Object.entries(ROUTES), ...Object.entries(ACTIONS)]
        .filter(([, admitted]) => (admitted as readonly string[]).includes(role))
        .map(([name]) => name);
    expect(of('helper')).toEqual([
      '/check/[id]',
      '/check/[id]/beside/[student]',
      '/check/[id]/live',
      '/check/[id]/photos/[photo]',
      '/check/[id]/practice',
      'dropPhoto',
      'faultFound',
      'faultNotFound',
      'keepCorners',
      'keepMarks',
      'keepPhoto',
      'keepReading',
      'looksOfBench',
      'meterReads',
      'noteWhoIsThere',
      'readMeterAt',
      'sweepSupply',
      'whatItWas',
    ]);
    expect(of('student').join(' ')).toBe(
      '/bench adviceFor faultFound keepPhoto keepReading leaveBench stopAdvice takeBench',
    );
  });
});

/** Loads what answers at every route and every action, as the program has them. */
const actions = Object.assign(
  {},
  ...ACTION_FILES.map((file) => jest.requireActual<Readonly<Record<string, unknown>>>(file)),
) as Record<ActionName, (...asked: unknown[]) => Promise<{ ok: boolean; message?: string }>>;

const STRANGERS: readonly (Who | undefined)[] = [
  undefined,
  { role: 'helper', session: 1 },
  { role: 'student', session: 1 },
];
const closed = (Object.keys(ACTIONS) as ActionName[]).filter(
  (name) => !(ACTIONS[name] as readonly string[]).includes('anyone'),
);

describe.each(STRANGERS.map((stranger) => [stranger?.role ?? 'nobody', stranger] as const))(
  '%s',
  (_, stranger) => {
    it('is refused every action that is not theirs', async () => {
      for (const name of closed) {
        request.asNobody();
        if (stranger) await comeIn(stranger);
        if (isAdmitted(ACTIONS[name], stranger?.role)) continue;
        const answer = await actions[name](1, 1, '', {});
        expect({ name, ok: answer.ok }).toEqual({ name, ok: false });
        expect(answer.message).toMatch(/^Not done: (that is for the educator|you are not signed in)/u);
      }
    });

    it('is led away from every page, and gets no file', async () => {
      for (const file of APP) {
        const route = routeOf(file) as Route;
        request.asNobody();
        if (stranger) await comeIn(stranger);
        if (isAdmitted(ROUTES[route], stranger?.role)) continue;
        const answering = jest.requireActual<{ GET?: Answering; default?: Answering }>(file);
        const asked = {
          params: Promise.resolve({ id: '1', what: 'card' }),
          searchParams: Promise.resolve({}),
        };
        if (answering.GET) {
          const response = (await answering.GET(new Request('http://127.0.0.1/'), asked)) as Response;
          expect({ route, status: response.status }).toEqual({ route, status: stranger ? 403 : 401 });
          continue;
        }
        const led: unknown = await answering.default!(asked, undefined).then(
          () => 'was shown',
          (thrown: { digest?: string }) => thrown.digest,
        );
        const home = stranger === undefined ? '/sign-in' : stranger.role === 'helper' ? '/check/1' : '/bench';
        expect({ route, led }).toEqual({ route, led: expect.stringContaining(`;${home};`) });
      }
    });
  },
);

type Answering = (asked: unknown, more: unknown) => Promise<unknown>;

describe('the way in', () => {
  it('asks for a passphrase at the first start, keeps it as a hash, and signs in by it', async () => {
    expect(message(await signIn('anything at all'))).toContain('not the passphrase');
    const token = firstToken(environment().database);
    expect(fs.statSync(`${environment().database}.first`).mode & 0o777).toBe(0o600);
    const choose = (passphrase: string, typed = token) => firstPassphrase(passphrase, typed);
    request.headers.set('host', '127.0.0.1:4173');
    // As it comes through somebody who passes it on, on this machine or elsewhere.
    expect(message(await choose('four words by the sea'))).toContain('on the machine itself');
    request.headers.set(HERE, '1');
    request.headers.set('host', 'mivvet.school.test');
    expect(message(await choose('four words by the sea'))).toContain('on the machine itself');
    request.headers.set('host', '127.0.0.1:4173');
    for (const wrong of ['', 'a guess', `${token}x`])
      expect(message(await choose('four words by the sea', wrong))).toContain('by the link that was printed');
    expect(message(await choose('short'))).toContain('at least 10 letters');
    value(await choose('four words by the sea'));
    expect(fs.existsSync(`${environment().database}.first`)).toBe(false);
    expect(await who()).toMatchObject({ role: 'educator' });
    expect(message(await choose('another one entirely'))).toContain('already');
    request.asNobody();
    expect(await who()).toBeUndefined();
    expect(message(await signIn('four words by the se'))).toContain('not the passphrase');
    value(await signIn(' four words by the sea '));
    expect((await who())!.role).toBe('educator');
    expect(await isPassphrase('four words by the sea')).toBe(true);
  });

  it('is shut for a cookie that was altered, and for all of them when signed out everywhere', async () => {
    value(await signIn('four words by the sea'));
    const cookie = request.cookies.get('mivvet')!;
    request.cookies.set('mivvet', `${cookie.slice(0, -8)}AAAAAAAA`);
    expect(await who()).toBeUndefined();
    request.cookies.set('mivvet', cookie);
    expect((await who())!.role).toBe('educator');
    value(await signOutEverywhere());
    request.cookies.set('mivvet', cookie);
    expect(await who()).toBeUndefined();
    value(await signIn('four words by the sea'));
    expect(message(await newPassphrase('wrong', 'another one entirely'))).toContain('Nothing was changed');
    value(await newPassphrase('four words by the sea', 'another one entirely'));
    value(await signOut());
    expect(message(await signIn('four words by the sea'))).toContain('not the passphrase');
    value(await signIn('another one entirely'));
  });

  it('lets a helper into one session by its code, until it ends', async () => {
    value(await signIn('another one entirely'));
    const [own, other] = await Promise.all([aSession('Tern'), aSession('Plover')]);
    const code = value(await makeCode(own.session, 'helper', 2));
    request.asNobody();
    expect(message(await join('ZZZZZZ'))).toContain('No session has that code');
    expect(value(await join(` ${code.code.toLowerCase()} `))).toBe(`/check/${own.session}`);
    expect(await who()).toMatchObject({ role: 'helper', session: own.session });
    expect(message(await keepReading(aReading(own, 1)))).toBe('went through');
    expect(message(await keepReading(aReading(other, 2)))).toBe(
      'Not done: your code is for another session.',
    );
    const cookie = request.cookies.get('mivvet')!;
    value(await signIn('another one entirely'));
    value(await endCode(own.session, 'helper'));
    request.cookies.set('mivvet', cookie);
    expect(await who()).toBeUndefined();
  });

  it('lets a student take one bench, and see and change no other', async () => {
    value(await signIn('another one entirely'));
    const own = await aSession('Dunlin');
    const other = await aSession('Curlew');
    const code = value(await makeCode(own.session, 'student', 2));
    request.asNobody();
    value(await join(code.code));
    expect(message(await keepReading(aReading(own, 5)))).toContain('another bench than yours');
    expect(message(await takeBench(other.student))).toContain('not in this session');
    value(await takeBench(own.student));
    expect((await who())!.seat).toMatchObject({ sessionId: own.session, studentId: own.student });
    const kept = value(await keepReading({ ...aReading(own, 6), point: 'R1', takenBy: 'the educator' }));
    expect(kept).toMatchObject({ studentId: own.student, takenBy: 'student' });
    expect(message(await keepReading(aReading(other, 7)))).toContain('another session');
    expect(message(await adviceFor(other.student))).toContain('another bench than yours');
    expect(value(await adviceFor(own.student)).points).toHaveProperty('R1');
    // Another machine finds the bench taken, until it is freed.
    const cookie = request.cookies.get('mivvet')!;
    request.asNobody();
    value(await join(code.code));
    expect(message(await takeBench(own.student))).toContain('on another machine');
    value(await signIn('another one entirely'));
    expect(value(await freeBench(own.session, own.student))).toEqual([]);
    request.cookies.set('mivvet', cookie);
    expect((await who())!.seat).toBeUndefined();
    expect(value(await keepReading({ ...aReading(own, 8), point: 'R1' })).studentId).toBe(own.student);
    const others = { ...aReading(own, 9), studentId: own.student + 1 };
    expect(message(await keepReading(others))).toContain('another bench than yours');
  });

  it('keeps those who sit when another code is given out, and lets nobody new in by the old one', async () => {
    value(await signIn('another one entirely'));
    const own = await aSession('Whimbrel');
    const first = value(await makeCode(own.session, 'student', 2));
    value(await join(first.code));
    value(await takeBench(own.student));
    const cookie = request.cookies.get('mivvet')!;
    value(await signIn('another one entirely'));
    value(await makeCode(own.session, 'student', 2));
    expect(message(await join(first.code))).toContain('No session has that code');
    request.cookies.set('mivvet', cookie);
    expect((await who())!.seat).toMatchObject({ studentId: own.student });
    value(await signIn('another one entirely'));
    value(await endCode(own.session, 'student'));
    request.cookies.set('mivvet', cookie);
    expect(await who()).toBeUndefined();
  });

  it('ends with the session', async () => {
    value(await signIn('another one entirely'));
    const { session } = await aSession('Knot');
    const code = value(await makeCode(session, 'student', 2));
    expect(value(await join(code.code))).toBe('/bench');
    expect(await who()).toMatchObject({ role: 'student', session });
    await archiveSession(session, new Date().toISOString());
    expect(await who()).toBeUndefined();
  });
});

interface Given {
  readonly session: number;
  readonly student: number;
}

async function aSession(name: string): Promise<Given> {
  const groupId = value(await newGroup(name, ''));
  value(await enrol(groupId, 'Wren'));
  const lessonId = value(await startLesson('single', name));
  const made = await workOutFor(lessonId, groupId);
  if (!made.ok) throw new Error('no sheet');
  const session = await addSession({ lessonId, groupId, onDate: '2026-12-01', ...made.value });
  return { session, student: (await group(groupId)).students[0]!.id };
}

function aReading({ session, student }: Given, n: number) {
  return {
    sessionId: session,
    studentId: student,
    point: 'R1',
    kind: 'first',
    value: 2.9,
    step: 0.01,
    typed: '2.90',
    meter: 'class meter',
    takenBy: 'K',
    takenAt: '2026-12-01T17:00:00.000Z',
    entryKey: `5f0c1a52-7d8e-4a55-9d0b-0a3d8f6f1c1${n}`,
  } as const;
}
