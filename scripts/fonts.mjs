// `npm run fonts`: the letters and signs that the program itself writes, out of the installed faces, so that a page loads
// 9 kB a face instead of 22. What people type beyond them comes from the whole face. Needs Debian's fonttools and
// python3-brotli; the result is committed.
import { join } from 'node:path';
import { modules } from './lib/install.mjs';
import { must, root } from './lib/run.mjs';

const SIGNS =
  'U+20-7E,U+A0,U+B0,U+B2,U+B3,U+B7,U+BC-BE,U+D7,U+2013,U+2014,U+2018,U+2019,U+201C,U+201D,U+2026,U+2032,U+2033,U+2044,U+2212';
const FACES = { 'sofia-sans': [400, 700], 'barlow-condensed': [600] };

await modules();
for (const [family, weights] of Object.entries(FACES))
  for (const weight of weights)
    await must('pyftsubset', [
      join(root, `node_modules/@fontsource/${family}/files/${family}-latin-${weight}-normal.woff2`),
      `--unicodes=${SIGNS}`,
      // Pairs of letters are moved together in headings only: in text that takes a quarter of a face and is not seen.
      `--layout-features=${family === 'barlow-condensed' ? 'kern,' : ''}tnum,frac,numr,dnom,mark,ccmp,lnum`,
      '--flavor=woff2',
      '--no-hinting',
      `--output-file=${join(root, `web/src/styles/fonts/${family}-${weight}.woff2`)}`,
    ]);
