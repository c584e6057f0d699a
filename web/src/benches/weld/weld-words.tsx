import { type LengthFormat, type Seam, type Section, type Stitch, stitchPlace } from '@splay/core';
import { Length } from '../../ui/length.tsx';

/** “butt, wall 3/16”, “fillet, leg 3/16”, “4 plugs of 5/8”. */
export function WeldWords({ seam: { weld }, format }: { readonly seam: Seam; readonly format: LengthFormat }) {
  switch (weld.kind) {
    case 'groove':
      return (
        <>
          butt, wall <Length mm={weld.wall} format={format} />
        </>
      );
    case 'fillet':
      return (
        <>
          fillet, leg <Length mm={weld.leg} format={format} />
        </>
      );
    case 'plug':
      return (
        <>
          {weld.count} {weld.count === 1 ? 'plug' : 'plugs'} of <Length mm={weld.diameter} format={format} />
        </>
      );
  }
}

interface PlaceWordsProps {
  readonly stitch: Stitch;
  readonly section: Section;
  readonly format: LengthFormat;
}

/** “5 1/4 to 1 3/8 below the top edge”: where a stitch begins and ends. */
export function PlaceWords({ stitch, section, format }: PlaceWordsProps) {
  const { from, to, measured } = stitchPlace(stitch, section);
  const show = (mm: number) => <Length mm={Math.abs(mm)} format={format} />;
  if (stitch.pass === 0 || Math.abs(to - from) < 1e-9)
    return (
      <>
        {show(from)} {measured}
      </>
    );
  if (measured !== 'behind the joint' || (from >= 0 && to >= 0))
    return (
      <>
        {show(from)} to {show(to)} {measured}
      </>
    );
  const side = (mm: number) => (mm < 0 ? 'ahead of' : 'behind');
  return side(from) === side(to) ? (
    <>
      {show(from)} to {show(to)} {side(to)} the joint
    </>
  ) : (
    <>
      {show(from)} {side(from)} to {show(to)} {side(to)} the joint
    </>
  );
}
