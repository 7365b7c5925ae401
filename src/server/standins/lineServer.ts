import { createServer, type Server, type Socket } from 'node:net';
import { commandsIn, FAULTS, isHeader, type Command, type Fault } from './header';

/** What an instrument makes of a command: an answer, nothing where none is asked for, or what is wrong with it. */
export type Said = { readonly answer: string } | { readonly fault: Fault } | undefined;

/** One connection to an instrument: it keeps what was set over it. */
export type Instrument = (command: Command) => Said | Promise<Said>;

const LONGEST_LINE = 1000;
const MOST_FAULTS = 20;
const NOT_MINE = Symbol('for the instrument itself');

/**
 * Serves an instrument by lines of text over TCP, on this machine alone.
 *
 * @param make a fresh instrument for each connection
 * @returns the port that it listens on
 */
export async function serveInstrument(
  make: () => Instrument,
  port = 0,
): Promise<{ readonly port: number; readonly server: Server }> {
  const server = createServer((socket) => talk(socket, make()));
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', resolve);
  });
  server.unref();
  const address = server.address();
  return { server, port: typeof address === 'object' && address ? address.port : port };
}

function talk(socket: Socket, instrument: Instrument): void {
  const faults: Fault[] = [];
  let text = '';
  let turn = Promise.resolve();
  // Short lines go at once: one that sets and one that asks would else wait for each other.
  socket.setNoDelay(true);
  socket.setEncoding('utf8');
  socket.on('error', () => socket.destroy());
  socket.on('data', (chunk: string) => {
    text += chunk;
    const lines = text.split(/\r?\n/u);
    text = lines.pop()!;
    if (text.length > LONGEST_LINE) {
      text = '';
      faults.push(FAULTS.tooLong);
    }
    for (const line of lines) turn = turn.then(() => answerLine(line));
  });

  async function answerLine(line: string): Promise<void> {
    const answers: string[] = [];
    for (const command of commandsIn(line)) {
      const own = common(command);
      const said = own === NOT_MINE ? await asked(command) : own;
      if (said && 'answer' in said) answers.push(said.answer);
      else if (said && faults.length < MOST_FAULTS) faults.push(said.fault);
    }
    if (answers.length > 0 && !socket.destroyed) socket.write(`${answers.join(';')}\n`);
  }

  /** What cannot be measured is said like every other fault: the instrument goes on. */
  async function asked(command: Command): Promise<Said> {
    try {
      return await instrument(command);
    } catch {
      return { fault: FAULTS.noData };
    }
  }

  /** What every instrument understands: the queue of what was wrong, and being cleared. */
  function common({ header, asks }: Command): Said | typeof NOT_MINE {
    if (asks && isHeader('SYSTem:ERRor', header)) return { answer: faults.shift() ?? FAULTS.none };
    if (header !== '*cls') return NOT_MINE;
    faults.length = 0;
    return undefined;
  }
}
