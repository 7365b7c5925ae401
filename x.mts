import { makeSheet, sessionExpectation, faultContext, faultsOf, PATTERN_IDS } from './src/core/index';
import { lessons } from './src/server/repositories/lessons';
import { requestFor, sheetSurroundings, DRAWS } from './src/server/lessonSheet';
const around = await sheetSurroundings(12);
for (const l of await lessons()) {
  const request = requestFor(l, {...around, draws: {...around.draws, samples: DRAWS.rest, ends:'both'}});
  const t0=performance.now(); const s = makeSheet(request); const t1=performance.now();
  if(!s.ok) {console.log(l.title,'refused');continue;}
  const c = faultContext(s.value, request); const f = faultsOf(c); const t2=performance.now();
  const e = sessionExpectation(s.value, request); const t3=performance.now();
  console.log(l.id,l.title,l.choice.pattern,'sheet',Math.round(t1-t0),'faultsOf',f.length,Math.round(t2-t1),'dict',Math.round(t3-t2), e.dictionary.signatures.length, 'json', JSON.stringify(e).length, JSON.stringify(s.value).length);
}
process.exit(0);
