import fc from 'fast-check';

/** The same random cases in every run; MIVVET_SEED tries others. */
fc.configureGlobal({ seed: Number(process.env['MIVVET_SEED'] ?? 20) });
