import { FIRST } from './specs/samples/first';
import { SECOND } from './specs/samples/second';
import { scoreSamples } from './specs/samples/score';
test('x', () => { for (const s of [FIRST, SECOND]) { const r = scoreSamples(s); console.log(s.length, r.fields, r.right, r.wrong, '\n' + r.notes.join('\n')); } });
