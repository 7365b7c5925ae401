import { connect } from 'node:net';
import { Refusal } from '../failures';

/** An instrument that says nothing for so long is not there. A stand-in may first have to make its bench up. */
const SILENT_MS = 20_000;
const LONGEST_ANSWER = 10_000;
/** Where bench instruments listen for lines, if no port is named. */
const USUAL_PORT = 5025;

/** One conversation with an instrument: a line that asks is answered, one that sets is not. */
export interface Line {
  ask(line: string): Promise<string>;
  tell(line: string): void;
}

/**
 * Talks to an instrument by lines of text over TCP.
 *
 * @param address `host:port`
 * @throws Refusal, in a sentence, where it is not there, falls silent, or says what is wrong
 */
export async function withInstrument<T>(address: string, talk: (line: Line) => Promise<T>): Promise<T> {
  const [host = '', port = String(USUAL_PORT)] = address.split(/:(?=\d+$)/u);
  const socket = connect({ host, port: Number(port) });
  socket.setNoDelay(true);
  socket.setEncoding('utf8');
  let text = '';
  let waiting: { resolve: (line: string) => void; reject: (why: Error) => void } | undefined;
  let gone: Error | undefined;
  const end = (why: Error) => {
    gone ??= why;
    waiting?.reject(gone);
    waiting = undefined;
    socket.destroy();
  };
  socket.setTimeout(SILENT_MS, () => end(new Refusal(`The instrument at ${address} does not answer.`)));
  socket.on('error', () => end(new Refusal(`No instrument can be reached at ${address}.`)));
  socket.on('close', () => end(new Refusal(`The instrument at ${address} went away.`)));
  socket.on('data', (chunk: string) => {
    text += chunk;
    if (text.length > LONGEST_ANSWER) return end(new Refusal(`What answers at ${address} is no instrument.`));
    const at = text.indexOf('\n');
    if (at < 0 || !waiting) return;
    const line = text.slice(0, at).trim();
    text = text.slice(at + 1);
    waiting.resolve(line);
    waiting = undefined;
  });
  const ask = (line: string) =>
    new Promise<string>((resolve, reject) => {
      if (gone) return reject(gone);
      waiting = { resolve, reject };
      socket.write(`${line}\n`);
    });
  try {
    return await talk({
      ask: (line) => answered(ask, address, line),
      tell: (line) => socket.write(`${line}\n`),
    });
  } finally {
    socket.destroy();
  }
}

/** The answer to a question; where the instrument has none, it says why when it is asked for what is wrong. */
async function answered(ask: Line['ask'], address: string, line: string): Promise<string> {
  const both = await ask(`${line};:SYST:ERR?`);
  const [, answer, code, words] = /^(?:(.*);)?([+-]?\d+),"?([^"]*)"?$/u.exec(both) ?? [];
  if (answer !== undefined) return answer;
  const why = words === undefined || Number(code) === 0 ? `it says “${both}”` : `${words} (${code})`;
  throw new Refusal(`The instrument at ${address} does not do that: ${why}.`);
}
