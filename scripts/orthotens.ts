/**
 * Study and plan without the interface and without a database:
 *   npm run -s orthotens -- study FRAME.json [--json]
 *   npm run -s orthotens -- plan FRAME.json --method two-piece [--short-side left] [--tension 24/23] [--json]
 *   npm run -s orthotens -- job|queue|shelf|balance|read-bed FILE.json [--json]
 *   npm run -s orthotens -- pitch FILE.wav [--json]
 *   npm run -s orthotens -- load FRAME.json [--method two-piece] [--tension 55/53] [--mounts 6] [--json]
 *   npm run -s orthotens -- load --ring '{"radiusMm":145,"eiNmm2":1.2e8,"eaN":1e9,"load":{"kind":"mains","tensionN":20,"pitchMm":14}}' [--json]
 */
import { obey } from './commands/line';

obey(process.argv.slice(2));
