import type { InputProblem } from '../input-error.ts';
import type { Frame } from './frame.ts';
import { copiesOf, railIdOf } from './members.ts';
import { type Ref, type RefKind, refKey } from './ref.ts';

/** Everything of a donor that could carry something, by `refKey`. */
const carriersOf = ({ features, crossmembers, axles, units }: Frame): ReadonlySet<string> => {
  const keys = (kind: RefKind, list: readonly { readonly id: string }[]) => list.map(({ id }) => refKey({ kind, id }));
  return new Set([
    ...keys('feature', features),
    ...keys('crossmember', crossmembers),
    ...keys('axle', axles),
    ...keys('unit', units),
  ]);
};

/**
 * What rides on something must ride on something of the donor: an axle on units, brackets or crossmembers, a point on these or an axle.
 *
 * @param frame The donor; validated.
 * @param path Where that is in the document: problems are named from there.
 */
export function carrierProblems(frame: Frame, path: string): InputProblem[] {
  const known = carriersOf(frame);
  const wrong = (
    list: string,
    items: readonly { readonly name: string; readonly carrier?: Ref }[],
    kinds: readonly RefKind[],
  ) =>
    items.flatMap(({ name, carrier }, index): InputProblem[] =>
      !carrier || (kinds.includes(carrier.kind) && known.has(refKey(carrier)))
        ? []
        : [
            {
              code: 'frame/unknown-carrier',
              path: `${path}.${list}[${index}].carrier`,
              message: `${name} rides on “${carrier.id}”, which is not on the donor: pick what carries it.`,
            },
          ],
    );
  return [
    ...wrong('axles', frame.axles, ['unit', 'feature', 'crossmember']),
    ...wrong('points', frame.points, ['unit', 'feature', 'crossmember', 'axle']),
  ];
}

/**
 * A unit stands on mounts that are on the donor, each of them under one unit only.
 *
 * @param frame The donor; validated.
 * @param path Where that is in the document: problems are named from there.
 */
export function unitProblems(frame: Frame, path: string): InputProblem[] {
  const known = carriersOf(frame);
  const taken = new Map<string, string>();
  return frame.units.flatMap((unit, index) =>
    unit.mounts.flatMap((mount, at): InputProblem[] => {
      const place = `${path}.units[${index}].mounts[${at}]`;
      const key = refKey(mount);
      const other = taken.get(key);
      taken.set(key, unit.name);
      if (!known.has(key))
        return [
          {
            code: 'frame/unknown-mount',
            path: place,
            message: `${unit.name} stands on “${mount.id}”, which is not on the donor: take that mount off its list first.`,
          },
        ];
      if (other !== undefined)
        return [
          {
            code: 'frame/mount-twice',
            path: place,
            message: `“${mount.id}” is under ${other} and under ${unit.name}: a mount carries one unit.`,
          },
        ];
      return [];
    }),
  );
}

/**
 * Members run from front to rear and have a section; braces end on rails or members that are there.
 *
 * @param frame The donor; validated.
 * @param path Where that is in the document: problems are named from there.
 * @param show Writes a length, mm, in the job’s unit.
 */
export function memberProblems(frame: Frame, path: string, show: (mm: number) => string): InputProblem[] {
  const sections = new Set(frame.sections.map(({ id }) => id));
  const rails = new Set<string>([
    'left',
    'right',
    ...frame.members.flatMap((member) => copiesOf(member).map((side) => railIdOf(member.id, side))),
  ]);
  const sectionProblem = (name: string, section: string, at: string): InputProblem[] =>
    sections.has(section)
      ? []
      : [
          {
            code: 'frame/unknown-section',
            path: `${at}.section`,
            message: `${name} names section “${section}”, which is not in the list of sections.`,
          },
        ];
  const members = frame.members.flatMap((member, index): InputProblem[] => {
    const at = `${path}.members[${index}]`;
    const { name, path: line } = member;
    const ends = [member.front, member.rear].map(({ on, to }) =>
      on === 'crossmember'
        ? frame.crossmembers.some(({ id }) => id === to)
        : on === 'member'
          ? frame.members.some(({ id }) => id === to && id !== member.id)
          : true,
    );
    return [
      ...sectionProblem(name, member.section, at),
      ...(line.length < 2
        ? [{ code: 'frame/member-path', path: `${at}.path`, message: `${name} needs two points at least: its ends.` }]
        : []),
      ...line.flatMap(({ x }, point): InputProblem[] => {
        const before = line[point - 1];
        return before && x <= before.x
          ? [
              {
                code: 'frame/member-path',
                path: `${at}.path[${point}].x`,
                message: `${name}: point ${point + 1} (${show(x)}) must lie behind the one ahead of it (${show(before.x)}).`,
              },
            ]
          : [];
      }),
      ...ends.flatMap((found, end): InputProblem[] =>
        found
          ? []
          : [
              {
                code: 'frame/member-end',
                path: `${at}.${end === 0 ? 'front' : 'rear'}.to`,
                message: `${name}: pick the crossmember or member that its ${end === 0 ? 'front' : 'rear'} end is fixed to.`,
              },
            ],
      ),
    ];
  });
  const braces = frame.braces.flatMap((brace, index): InputProblem[] => {
    const at = `${path}.braces[${index}]`;
    return [
      ...sectionProblem(brace.name, brace.section, at),
      ...(['from', 'to'] as const).flatMap((end): InputProblem[] =>
        rails.has(brace[end].rail)
          ? []
          : [
              {
                code: 'frame/unknown-rail',
                path: `${at}.${end}.rail`,
                message: `${brace.name} ends on “${brace[end].rail}”, which is not on the donor: pick a rail or a member.`,
              },
            ],
      ),
    ];
  });
  return [...members, ...braces];
}
