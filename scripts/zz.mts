import { rack } from '../core/src/testing/rules';
import { createAssessor } from '../core/src/assess';
const m = rack().add('brazier-800').add('tern-16i').add('tern-8i').add('barge-8', 24);
for (let i=0;i<300;i++) createAssessor().assess({...m.build, items: m.build.items.map(x=>({...x}))}, {asOf:'2026-11-01'});
