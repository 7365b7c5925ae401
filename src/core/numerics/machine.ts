import { F64, leb, SIZE, type Code } from './code';
import { FUNCTIONS } from './functions';

const PAGE = 65_536;

export interface Machine {
  readonly memory: Float64Array;
  /** Runs the code once. @returns what it leaves on the stack */
  run(): number;
}

/** What is used of WebAssembly: the core is compiled without the types of any surroundings. */
interface Translator {
  readonly Module: new (bytes: Uint8Array) => object;
  readonly Instance: new (module: object) => {
    readonly exports: { readonly memory: { readonly buffer: ArrayBuffer }; run(): number };
  };
}

/** Translations that are kept, the oldest given up first: circuits that differ in their values alone are the same code. */
const KEPT = 24;
const translated = new Map<string, object>();

/**
 * Translates code that leaves one number on the stack, with the mathematical functions that it may call. The same code is
 * translated once.
 *
 * @param places numbers that the memory holds
 * @returns undefined where the surroundings forbid compiled code
 */
export function assemble(places: number, code: Code): Machine | undefined {
  const pages = Math.ceil((places * SIZE) / PAGE);
  try {
    const { Module, Instance } = (globalThis as unknown as { WebAssembly: Translator }).WebAssembly;
    const key = `${pages} ${String.fromCharCode(...code.locals)} ${textOf(code.bytes)}`;
    let known = translated.get(key);
    if (!known) {
      known = new Module(moduleOf(pages, code));
      if (translated.size >= KEPT) translated.delete(translated.keys().next().value!);
      translated.set(key, known);
    }
    const { memory, run } = new Instance(known).exports;
    return { memory: new Float64Array(memory.buffer, 0, places), run };
  } catch {
    return undefined;
  }
}

/** Bytes as letters, to be looked up by; in pieces that a call can take. */
function textOf(bytes: readonly number[]): string {
  let text = '';
  for (let from = 0; from < bytes.length; from += LETTERS)
    text += String.fromCharCode(...bytes.slice(from, from + LETTERS));
  return text;
}

const LETTERS = 8192;

/** What every module begins with: its functions are written once. */
let library: readonly Translated[] | undefined;

interface Translated {
  readonly given: number;
  readonly body: Uint8Array;
}

function moduleOf(pages: number, run: Code): Uint8Array<ArrayBuffer> {
  library ??= FUNCTIONS.map((write) => translatedOf(write()));
  const all = [...library, translatedOf(run)];
  const types = all.map(({ given }) => [0x60, given, ...new Array<number>(given).fill(F64), 1, F64]);
  const exported = [
    [...name('memory'), 2, 0],
    [...name('run'), 0, FUNCTIONS.length],
  ];
  return joined([
    [0, 0x61, 0x73, 0x6d, 1, 0, 0, 0],
    section(1, types),
    section(
      3,
      all.map((_, i) => leb(i)),
    ),
    section(5, [[0, ...leb(pages)]]),
    section(7, exported),
    section(
      10,
      all.map(({ body }) => body),
    ),
  ]);
}

const END = 0x0b;

function translatedOf({ given, locals, bytes }: Code): Translated {
  const declared = [...leb(locals.length), ...locals.flatMap((type) => [1, type])];
  return { given, body: joined([leb(declared.length + bytes.length + 1), declared, bytes, [END]]) };
}

function section(id: number, items: readonly Bytes[]): Uint8Array {
  const content = joined([leb(items.length), ...items]);
  return joined([[id], leb(content.length), content]);
}

type Bytes = ArrayLike<number>;

function joined(pieces: readonly Bytes[]): Uint8Array<ArrayBuffer> {
  const all = new Uint8Array(pieces.reduce((sum, { length }) => sum + length, 0));
  let end = 0;
  for (const piece of pieces) {
    all.set(piece, end);
    end += piece.length;
  }
  return all;
}

function name(text: string): number[] {
  return [...leb(text.length), ...[...text].map((letter) => letter.charCodeAt(0))];
}
