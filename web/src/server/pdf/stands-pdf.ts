import {
  cautionsOf,
  datumStation,
  dotted,
  loadText,
  neutralOf,
  planOf,
  SHORE_FACTS,
  shoringOf,
  type ShoringStep,
  quantityText,
  standDrawing,
  standNumbers,
  springText,
  tieLength,
  type Job,
} from '@splay/core';
import { type SheetFacts, sheetFacts } from '../../shared/sheet-facts.ts';
import { SHEET_FOOT } from '../../shared/sheet-words.ts';
import type { JobHead } from '../services/jobs.ts';
import { sharedJob } from '../threads/shared-job.ts';
import { PT } from './draw-drawing.ts';
import { type Cell, DRAWING_WIDTH, type Paper, Sheet } from './sheet.ts';

/** How the frame of a job's saved revision is held at every cut, as a PDF to lay beside the frame. */
export async function standsPdf(head: JobHead, paper: Paper, facts: SheetFacts = {}): Promise<Uint8Array<ArrayBuffer>> {
  const job = sharedJob(head.job);
  const { steps, findings } = shoringOf(job);
  const stop = findings.find(({ severity }) => severity === 'stop');
  const { level, off } = job.plan.shoring;
  const sheet = await Sheet.make(paper, job.display, {
    title: 'Stands for cutting',
    warning: stop ? `NOT RELEASED: ${stop.message}` : null,
    facts: [
      ...sheetFacts(head, facts),
      `Stations from: ${(job.donor.features.find(({ id }) => id === job.donor.datum)?.name ?? 'the datum').toLowerCase()}`,
    ],
  });
  sheet.note(
    level === null
      ? 'Heights of stands are not given: nobody has said yet how high the datum plane is over the floor.'
      : 'Heights are from the floor where the stand is to the steel, plumb both ways, without the shim that lies on the stand.',
  );
  if (off.length > 0)
    sheet.note(`${off.length === 1 ? '1 thing is' : `${off.length} things are`} taken to be off the frame.`);
  if (steps.length === 0) sheet.note('The plan cuts through nothing yet.');
  for (const step of steps) stepOn(sheet, step, job);
  for (const { message, remedy, severity } of findings) if (severity !== 'note') sheet.tickOff(`${message} ${remedy}`);
  sheet.note(
    'Loads are of rigid stands that only push. Where four or more share a part they are a guide: weigh with a scale or a jack gauge, and let a slack feeler in the kerf decide.',
  );
  sheet.heading('Before the saw');
  for (const { title, here } of cautionsOf(job, planOf(job), 'cutting')) sheet.tickOff(`${title}. ${here}`.trim());
  sheet.sign(['stands set by', 'checked by', 'date']);
  return sheet.bytes(SHEET_FOOT);
}

function stepOn(sheet: Sheet, step: ShoringStep, job: Job): void {
  const datum = datumStation(job.donor);
  const { unit } = job.display;
  const drawing = step.whole.stands.length > 0 ? standDrawing(step, job, DRAWING_WIDTH) : null;
  // A cut's name stays with its drawing and the head of its table.
  sheet.keep(110 + (drawing?.height ?? 0) * PT);
  sheet.heading(step.letters.length > 0 ? `Cut ${dotted(step.letters)}: ${step.name.toLowerCase()}` : step.name);
  if (drawing) sheet.drawings([drawing], false);
  for (const cut of step.cuts) {
    const { advice, kerf, name } = cut;
    const closes =
      advice.pinches === 'neither'
        ? kerf.before
          ? 'neither closes nor opens'
          : 'is not calculated: nothing holds the frame'
        : `closes at the ${advice.pinches}${kerf.opens === null ? '' : ` (${springText(kerf.opens / 2, job)})`}: begin at the ${advice.begin}, leave the last at the ${advice.last}`;
    const drops = advice.drops?.by
      ? `; the ${advice.drops.side} end comes out ${springText(advice.drops.by, job)} lower`
      : '';
    const tied = cut.tied.length > 0 ? `; held across by ${cut.tied.join(' and ')}` : '';
    sheet.note(`Cut ${name} ${closes}${drops}${tied}.`);
  }
  const [first] = step.cuts;
  const neutral = first ? neutralOf(first) : null;
  const lowest = neutral ? Math.min(...neutral.shims) : 0;
  const numbers = standNumbers(step.whole.stands);
  const inOrder = step.whole.stands.toSorted((a, b) => (numbers.get(a.shore.id) ?? 0) - (numbers.get(b.shore.id) ?? 0));
  const rows = inOrder.map(({ shore, side, height, at, load }): Cell[] => {
    const index = first?.stands.findIndex((x) => Math.abs(x - at.x) < 1.5) ?? -1;
    // Each part alone on its own stands: then nothing is in the steel between them.
    const alone = step.loose.flatMap(({ stands }) => stands).find((each) => each.shore === shore && each.side === side);
    const shim = neutral?.shims[index];
    return [
      String(numbers.get(shore.id)),
      SHORE_FACTS[shore.kind].name,
      side,
      { mm: shore.x - datum },
      height === null ? '' : { mm: height - shore.shim },
      load === null ? '' : loadText(load, job),
      neutral === null || index < 0 || alone?.load == null ? '' : loadText(alone.load, job),
      shore.shim > 0
        ? { mm: shore.shim }
        : shim === undefined || shim - lowest < 0.2
          ? ''
          : springText(shim - lowest, job),
      '',
    ];
  });
  if (rows.length > 0)
    sheet.table(
      [
        { title: '', share: 0.5 },
        { title: 'what', share: 1.8 },
        { title: 'side', share: 0.9 },
        { title: 'from datum', share: 1.5, right: true },
        { title: 'floor to steel', share: 1.6, right: true },
        { title: 'before the cut', share: 1.6, right: true },
        { title: 'must carry', share: 1.5, right: true },
        { title: 'shim', share: 1.8, right: true },
        { title: 'weighed', share: 1.5, right: true },
      ],
      rows,
      [0, 4],
      8,
    );
  else sheet.note('No stands are placed for this cut.');
  const ties = job.plan.shoring.shores.filter(
    ({ kind, step: at }) => SHORE_FACTS[kind].does === 'ties' && (at === null || at === step.operation.id),
  );
  if (ties.length > 0)
    sheet.table(
      [
        { title: 'tie', share: 2.2 },
        { title: 'side', share: 1 },
        { title: 'from', share: 1.5, right: true },
        { title: 'to', share: 1.5, right: true },
        { title: 'cut to', share: 1.5, right: true },
        { title: 'note', share: 3 },
      ],
      ties.map((shore) => [
        SHORE_FACTS[shore.kind].name,
        shore.side,
        { mm: shore.x - datum },
        { mm: shore.to - datum },
        { mm: tieLength(shore) },
        shore.note,
      ]),
      [4],
    );
  sheet.table(
    [
      { title: 'once it is cut free', share: 3 },
      { title: 'weighs', share: 1.5, right: true },
      { title: 'balances, from datum', share: 2, right: true },
      { title: 'inside its stands', share: 2, right: true },
    ],
    step.loose.map(({ name, mass, center, stability, removed }) => [
      name,
      quantityText('mass', mass, unit),
      { mm: center.x - datum },
      removed
        ? 'comes free'
        : stability.margins && stability.state === 'stays'
          ? { mm: stability.margins.nearest }
          : 'does not stand',
    ]),
  );
}
