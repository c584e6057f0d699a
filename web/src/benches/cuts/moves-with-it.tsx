import { factsOf, type LengthFormat, type PlanResult } from '@splay/core';
import { PanelHeading } from '../../ui/panel.tsx';
import { Length } from '../../ui/length.tsx';

const counted = (count: number, name: string, tail = ''): string[] =>
  count > 0 ? [`${count} ${name}${count === 1 ? '' : 's'}${tail}`] : [];

/** What goes along with the steel behind the operation's last joint, in few words. */
export function MovesWithIt({
  result,
  operation,
  display,
}: {
  readonly result: PlanResult;
  readonly operation: string;
  readonly display: LengthFormat;
}) {
  const joint = result.joints.filter((candidate) => candidate.operation === operation).at(-1);
  if (!joint) return null;
  const behind = <T extends { readonly piece: number | null }>(items: readonly T[]) =>
    items.filter((item) => item.piece !== null && item.piece > joint.piece);
  const features = behind(result.features).filter((outcome) => outcome.status === 'moves');
  const mounts = features.filter((outcome) => factsOf(outcome.feature.kind).mount);
  const members = behind(result.crossmembers).filter((outcome) => outcome.status === 'moves');
  const shift = features[0]?.shift;
  if (features.length === 0 && members.length === 0) return null;
  const parts = [
    ...counted(mounts.length, 'mount', ' a side'),
    ...counted(members.length, 'crossmember'),
    ...counted(features.length - mounts.length, 'other feature'),
  ];
  return (
    <>
      <PanelHeading>Moves with it</PanelHeading>
      <p className="text-[0.92rem]">
        {parts.join(', ')}
        {shift && (
          <>
            : <Length mm={shift.dx} format={display} signed className="font-semibold" /> along the frame
            {Math.abs(shift.dz) > 0.1 && (
              <>
                , the first <Length mm={shift.dz} format={display} signed /> in height
              </>
            )}
          </>
        )}
      </p>
    </>
  );
}
