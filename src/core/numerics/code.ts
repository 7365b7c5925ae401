/**
 * Arithmetic on a memory of 64-bit floats, written down as instructions of a stack machine; `machine.ts` has them
 * translated for the processor.
 * Source: WebAssembly Core Specification 1.0, 5 (binary format).
 */

/** Bytes of one number in the memory. */
export const SIZE = 8;

export const [F64, I64] = [0x7c, 0x7e] as const;
const EMPTY = 0x40;

const OP = {
  if: 0x04,
  else: 0x05,
  end: 0x0b,
  call: 0x10,
  select: 0x1b,
  localGet: 0x20,
  localSet: 0x21,
  load: 0x2b,
  store: 0x39,
  i32Const: 0x41,
  i64Const: 0x42,
  f64Const: 0x44,
} as const;

const OPERATIONS = {
  less: [0x63],
  more: [0x64],
  atMost: [0x65],
  and: [0x71],
  addWhole: [0x7c],
  subtractWhole: [0x7d],
  andWhole: [0x83],
  orWhole: [0x84],
  shiftLeft: [0x86],
  shiftRight: [0x87],
  abs: [0x99],
  nearest: [0x9e],
  add: [0xa0],
  subtract: [0xa1],
  multiply: [0xa2],
  divide: [0xa3],
  min: [0xa4],
  max: [0xa5],
  toWhole: [0xfc, 6],
  fromWhole: [0xb9],
  bitsOf: [0xbd],
  fromBits: [0xbf],
} as const;

export type Operation = keyof typeof OPERATIONS;

/** Puts a number, or for a condition 0 or 1, on the stack. */
export type Value = (code: Code) => void;

/** A number that is kept in a local of its own. */
export interface Local {
  readonly index: number;
  readonly value: Value;
}

/** The instructions of one function. */
export class Code {
  readonly bytes: number[] = [];
  /** Types of its locals beyond its arguments. */
  readonly locals: number[] = [];

  /** @param given arguments, the first locals */
  constructor(readonly given = 0) {}

  put(value: Value): this {
    value(this);
    return this;
  }

  do(...operations: readonly Operation[]): this {
    for (const operation of operations) this.append(OPERATIONS[operation]);
    return this;
  }

  /** A new local that holds `value` from here on. */
  keep(value: Value, type: number = F64): Local {
    const index = this.given + this.locals.length;
    this.locals.push(type);
    const local = { index, value: (code: Code) => void code.raw(OP.localGet).append(leb(index)) };
    this.set(local, value);
    return local;
  }

  set({ index }: Local, value: Value): this {
    return this.put(value).raw(OP.localSet).append(leb(index));
  }

  store(place: number, value: Value): this {
    return this.raw(OP.i32Const, 0)
      .put(value)
      .raw(OP.store, 3)
      .append(leb(place * SIZE));
  }

  /** Adds to what stands at a place. */
  add(place: number, value: Value): this {
    return this.store(place, sum(at(place), value));
  }

  /** Does `then` only where the condition holds. */
  when(condition: Value, then: () => void, otherwise?: () => void): this {
    this.put(condition).raw(OP.if, EMPTY);
    then();
    if (otherwise) {
      this.raw(OP.else);
      otherwise();
    }
    return this.raw(OP.end);
  }

  /** Does `then` only where the condition does not hold, and where it compares with what is no number. */
  unless(condition: Value, then: () => void): this {
    return this.when(condition, () => undefined, then);
  }

  raw(...bytes: readonly number[]): this {
    return this.append(bytes);
  }

  append(bytes: ArrayLike<number>): this {
    for (let i = 0; i < bytes.length; i++) this.bytes.push(bytes[i]!);
    return this;
  }
}

/** The number at a place of the memory. */
export function at(place: number): Value {
  return (code) => code.raw(OP.i32Const, 0, OP.load, 3).append(leb(place * SIZE));
}

export function num(value: number): Value {
  const bytes = new Uint8Array(Float64Array.of(value).buffer);
  return (code) => code.raw(OP.f64Const).append(bytes);
}

/** A whole number of 64 bits. */
export function whole(value: bigint): Value {
  return (code) => code.raw(OP.i64Const, ...signedLeb(value));
}

/** The argument of a function. */
export const argument: Local = { index: 0, value: (code) => code.raw(OP.localGet, 0) };

/** One of the module's functions, by its number. */
export function call(index: number, value: Value): Value {
  return (code) => code.put(value).raw(OP.call, index);
}

export function apply(operation: Operation, ...values: readonly Value[]): Value {
  return (code) => {
    for (const value of values) code.put(value);
    code.do(operation);
  };
}

export const sum = (first: Value, ...others: readonly Value[]): Value => fold('add', first, others);
export const less = (first: Value, ...others: readonly Value[]): Value => fold('subtract', first, others);
export const times = (first: Value, ...others: readonly Value[]): Value => fold('multiply', first, others);
export const over = (a: Value, b: Value): Value => apply('divide', a, b);
export const size = (value: Value): Value => apply('abs', value);

/** `yes` where the condition holds, else `no`; both are worked out. */
export function either(condition: Value, yes: Value, no: Value): Value {
  return (code) => code.put(yes).put(no).put(condition).raw(OP.select);
}

function fold(operation: Operation, first: Value, others: readonly Value[]): Value {
  return (code) => {
    code.put(first);
    for (const other of others) code.put(other).do(operation);
  };
}

/** Places and numbers of locals, written down once: a circuit's code names each of them many times. */
const written: (readonly number[])[] = [];

/** Little-endian base 128. */
export function leb(value: number): readonly number[] {
  return (written[value] ??= lebOf(value));
}

function lebOf(value: number): number[] {
  const bytes: number[] = [];
  for (let left = value; ; left >>>= 7) {
    if (left < 0x80) return [...bytes, left];
    bytes.push((left & 0x7f) | 0x80);
  }
}

function signedLeb(value: bigint): number[] {
  const bytes: number[] = [];
  for (let left = value; ;) {
    const byte = Number(left & 0x7fn);
    left >>= 7n;
    if ((left === 0n && byte < 0x40) || (left === -1n && byte >= 0x40)) return [...bytes, byte];
    bytes.push(byte | 0x80);
  }
}
