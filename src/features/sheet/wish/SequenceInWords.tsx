import { readProgramCsv, spokenSequence, type Outcome, type ParamsOf } from '@/core';
import { InWords } from './InWords';

type Params = ParamsOf<'sequence'>;

interface Props {
  readonly params: Params;
  onChange(params: Params): void;
}

/** The table of a CSV in the place of the one that stands: by the order of its columns, lamps keep their wires. */
function fromCsv(text: string, params: Params): Outcome<Params> {
  const read = readProgramCsv(text, params.board);
  if (!read.ok) return read;
  const { columns, rows } = read.value;
  const lamps = columns.map((pin, i) => params.lamps[i] ?? { lamp: 'green' as const, pin });
  return { ok: true, value: { ...params, columns, rows, lamps }, findings: [] };
}

/** A whole table at once: as it is said in words, or as a spreadsheet has it. */
export function SequenceInWords({ params, onChange }: Props) {
  return (
    <InWords
      summary="All of it in words, or from a spreadsheet"
      label="The sequence in words, or a table"
      placeholder="red, red and yellow, green, 4 s, 1 s, 4 s, twice, then all off"
      rows={2}
      stays="The table stays as it is."
      hint="Colours, times, how often, how it ends; “fade to red over 2 s”. Or paste a table with the columns pin 9, pin 10, seconds, fade."
      onTake={(typed) => {
        // A table begins with the names of its columns.
        const table = /^\s*[^\n]*[,;]\s*"?seconds"?\s*([,;\n]|$)/iu.test(typed);
        const next = table ? fromCsv(typed, params) : spokenSequence(typed, params);
        if (next.ok) onChange(next.value);
        return next.findings;
      }}
    />
  );
}
