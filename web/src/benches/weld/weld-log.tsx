import { inOrderOfTime, quantityText, type ShopRecord, standing } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { useWelding } from './use-welding.ts';
import { passWords, railWords, seamWords } from './words.ts';

const BY = {
  pyrometer: 'pyrometer',
  'crayon-melted': 'crayon melted at',
  'crayon-dry': 'crayon stays dry at',
} as const;

/** What was welded and read, the latest first. */
export function WeldLog(bench: BenchProps) {
  const { records, job } = bench;
  const { welding } = useWelding(bench);
  const stitches = new Map(welding.steps.flatMap((step) => step.stitches.map((one) => [one.id, one] as const)));
  const nameOf = (id: string): string => {
    const stitch = stitches.get(id);
    if (!stitch) return `a stitch that is not in the plan any more (${id})`;
    const { seam } = stitch;
    return `${seam.joint.letter}, ${railWords(seam.rail)}, ${seamWords(seam)}, ${passWords(stitch)}`;
  };
  const all = inOrderOfTime<ShopRecord>([
    ...standing(records, 'stitch-welded'),
    ...standing(records, 'steel-temperature'),
    ...standing(records, 'seam-checked'),
  ]).toReversed();
  if (all.length === 0)
    return <p className="p-3 text-pencil">Nothing is welded yet. On a phone at the frame every stitch is one press.</p>;
  const seams = new Map(welding.seams.map((seam) => [seam.id, seam]));
  const said = (record: ShopRecord): string => {
    switch (record.kind) {
      case 'stitch-welded':
        return `${nameOf(record.body.stitch)}: ${record.body.laid ? 'welded' : 'taken back'}${record.body.note ? `, ${record.body.note}` : ''}`;
      case 'steel-temperature':
        return `${nameOf(record.body.stitch)}: ${BY[record.body.by]} ${quantityText('temperature', record.body.celsius, job.display.unit)}`;
      case 'seam-checked': {
        const seam = seams.get(record.body.seam);
        const name = seam ? `${seam.joint.letter}, ${railWords(seam.rail)}, ${seamWords(seam)}` : record.body.seam;
        return `${name}: ${record.body.result === 'passed' ? 'passed' : 'to repair'}${record.body.flush ? ', ground flush' : ''}`;
      }
      default:
        return '';
    }
  };
  return (
    <ol aria-label="What was welded, the latest first">
      {all.map((record) => (
        <li key={record.id} className="flex gap-3 border-b border-rule/60 py-1 text-[0.95rem]">
          <span className="whitespace-nowrap text-pencil tabular-nums">
            {new Date(record.taken).toLocaleString(undefined, { dateStyle: 'short', timeStyle: 'short' })}
          </span>
          <span className="min-w-0 flex-1">{said(record)}</span>
          <span className="whitespace-nowrap text-pencil">{record.by}</span>
        </li>
      ))}
    </ol>
  );
}
