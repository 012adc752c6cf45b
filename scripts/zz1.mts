import { TWENTY_SECOND } from '../core/src/testing/specTexts/twentySecond';
import { scoreSamples } from '../core/src/testing/specTexts/score';
const { fields, right, wrong, notes } = scoreSamples(TWENTY_SECOND);
console.log(fields, (100*right/fields).toFixed(1), (100*wrong/fields).toFixed(1)); for (const n of notes) console.log(n);
