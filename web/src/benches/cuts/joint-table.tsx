import { angleText, type Joint, type JointSide, type LengthFormat } from '@splay/core';
import { Length } from '../../ui/length.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { memoized } from '../../ui/memoized.ts';
import { Verdict } from '../../ui/verdict.tsx';
import { VERDICT_WORDS } from './verdict-words.ts';

/** How the ends meet at each joint of an operation: rear end minus front end, each side. */
export const JointTable = memoized(function JointTable({
  joints,
  display,
}: {
  readonly joints: readonly Joint[];
  readonly display: LengthFormat;
}) {
  if (joints.length === 0) return null;
  const length = (mm: number) => <Length mm={mm} format={display} />;
  const rows: readonly (readonly [string, (side: JointSide) => React.ReactNode])[] = [
    ['sideways', (side) => length(side.dy)],
    ['height', (side) => length(side.dz)],
    ['gap at the bottom', (side) => length(side.gapBottom)],
    ['kink, side view', (side) => angleText(side.pitch)],
    ['kink, plan', (side) => angleText(side.yaw)],
  ];
  const used = rows.filter(
    ([name], index) =>
      index < 2 ||
      joints.some(
        (joint) => Math.abs(figure(joint.sides.left, name)) > 5e-4 || Math.abs(figure(joint.sides.right, name)) > 5e-4,
      ),
  );
  return (
    <>
      <PanelHeading>How the ends meet</PanelHeading>
      <table className="w-full text-sm">
        <caption className="sr-only">How the ends meet</caption>
        <thead className="text-pencil">
          <tr>
            <th scope="col" className="text-left font-normal">
              <span className="sr-only">Joint and measure</span>
            </th>
            <th scope="col" className="figures font-normal">
              left
            </th>
            <th scope="col" className="figures font-normal">
              right
            </th>
          </tr>
        </thead>
        {joints.map((joint) => {
          const [kind, words] = VERDICT_WORDS[joint.verdict];
          return (
            <tbody key={joint.letter}>
              <tr>
                <th scope="rowgroup" colSpan={3} className="pt-1 text-left font-semibold">
                  <Verdict kind={kind}>
                    {joint.letter} {words}
                  </Verdict>
                </th>
              </tr>
              {used.map(([name, show]) => (
                <tr key={name} className="border-b border-rule/60">
                  <th scope="row" className="py-0.5 text-left font-normal">
                    {joints.length > 1 && <span className="sr-only">{joint.letter} </span>}
                    {name}
                  </th>
                  <td className="figures">{show(joint.sides.left)}</td>
                  <td className="figures">{show(joint.sides.right)}</td>
                </tr>
              ))}
            </tbody>
          );
        })}
      </table>
    </>
  );
});

function figure(side: JointSide, name: string): number {
  return name === 'gap at the bottom'
    ? Math.abs(side.gapBottom) > 0.1
      ? side.gapBottom
      : 0
    : name === 'kink, side view'
      ? side.pitch
      : name === 'kink, plan'
        ? side.yaw
        : 1;
}
