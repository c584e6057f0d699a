import {
  angleText,
  type AxleLoad,
  type FrameEnd,
  frameProfile,
  type Laden,
  type Measures,
  operationName,
  sectionLookup,
} from '@splay/core';
import type { ReactNode } from 'react';
import type { BenchProps } from '../client/bench-props.ts';
import { Length } from '../ui/length.tsx';
import { MassOf, Quantity } from '../ui/quantity.tsx';

type BoardTableProps = Pick<BenchProps, 'job' | 'result' | 'selected' | 'onSelect'>;

/** Which corner of an end it is measured to. */
const endText = ({ corner }: FrameEnd): string =>
  corner === null ? 'square' : corner === 'top' ? 'its upper corner' : 'its lower corner';

const degrees = (radians: number | null) => (radians === null ? '–' : angleText(radians));

/** Everything that the drawing shows, in tables: for screen readers, for checking a number, for copying out. */
export function BoardTable({ job, result, selected, onSelect }: BoardTableProps) {
  const section = sectionLookup(job.donor);
  const { laden } = result;
  const { before, after } = result.measures;
  const { donor: donorDatum, built: datum } = result.datum;
  const length = (mm: number | null | undefined) =>
    mm === null || mm === undefined ? '–' : <Length mm={mm} format={job.display} />;
  const onDonor = (x: number | null | undefined) => length(x === null || x === undefined ? null : x - donorDatum);
  const onBuilt = (x: number | null | undefined) => length(x === null || x === undefined ? null : x - datum);
  const mass = (kg: number | null | undefined) =>
    kg === null || kg === undefined ? '–' : <Quantity of="mass" value={kg} unit={job.display.unit} />;
  const figures: readonly (readonly [string, (of: Measures) => ReactNode])[] = [
    ['Wheelbase', (of) => length(of.wheelbase)],
    ['Cab to axle', (of) => length(of.cabToAxle)],
    ['Usable cab to axle', (of) => length(of.usableCabToAxle)],
    ['Axle to end of frame', (of) => length(of.axleToEnd)],
    ['Its end is', (of) => endText(of.ends.rear)],
    ['Front overhang', (of) => length(of.frontOverhang)],
    ['Overall length', (of) => length(of.overallLength)],
    ['Widest outside', (of) => length(of.widest)],
    ['Narrowest outside', (of) => length(of.narrowest)],
    ['Lowest over the ground', (of) => length(of.lowest?.clearance)],
    ['Approach, from the ground', (of) => degrees(of.approach)],
    ['Departure, from the ground', (of) => degrees(of.departure)],
    ['Breakover', (of) => degrees(of.breakover)],
    ['Mass of frame and weights entered', (of) => mass(of.mass)],
    ['of it on the front axle', (of) => mass(of.axleLoads?.front)],
    ['of it on the rear axle', (of) => mass(of.axleLoads?.rear)],
    [
      'Balance behind the front axle',
      (of) => (of.centerOfGravity ? <Length mm={of.centerOfGravity.x} format={job.display} /> : '–'),
    ],
  ];
  const loadOf = (axle: AxleLoad | undefined) =>
    axle ? <MassOf kg={axle.load} rating={axle.rating} unit={job.display.unit} /> : '–';
  const loaded: readonly (readonly [string, (of: Laden | null) => ReactNode])[] = [
    [`Mass with ${job.bodies.map(({ name }) => name).join(', ')} and load`, (of) => mass(of?.mass)],
    ['on the front axle, of what it may carry', (of) => loadOf(of?.front)],
    ['on the rear axle, of what it may carry', (of) => loadOf(of?.rear)],
  ];
  const name = new Map(job.plan.operations.map((operation) => [operation.id, operationName(operation)]));
  const profile = frameProfile(result.pieces, section);
  const apart = job.donor.rails.kind === 'measured';
  return (
    <div className="h-full space-y-5 overflow-y-auto px-4 pt-3 pb-16 text-sm">
      <CaptionedTable caption="Figures" columns={['Figure', 'donor', 'built']}>
        {figures.map(([figure, of]) => (
          <Row key={figure} head={figure} cells={[of(before), of(after)]} />
        ))}
        {laden.after
          ? loaded.map(([figure, of]) => <Row key={figure} head={figure} cells={[of(laden.before), of(laden.after)]} />)
          : []}
      </CaptionedTable>
      <CaptionedTable
        caption="Joints and cut ends"
        columns={['Cut', 'donor', 'built', 'ends']}
        empty="No cut is planned yet."
      >
        {[...result.joints, ...result.cutEnds]
          .sort((a, b) => a.builtX - b.builtX)
          .map((mark) => (
            <Row
              key={mark.letter}
              head={`${mark.letter}, ${name.get(mark.operation)?.toLowerCase() ?? mark.operation}`}
              chosen={selected === mark.operation}
              onPick={() => onSelect(mark.operation)}
              cells={[
                onDonor(mark.donorX),
                onBuilt(mark.builtX),
                'verdict' in mark ? mark.verdict.replaceAll('-', ' ') : 'free end',
              ]}
            />
          ))}
      </CaptionedTable>
      {result.driveLine.after && (
        <CaptionedTable caption="Drive line, at ride height" columns={['Shaft', 'donor', 'built', 'works at']}>
          {result.driveLine.after.shafts.map(({ front, rear, length: now }, index) => (
            <Row
              key={front.point.id}
              head={`${front.point.name} to ${rear.point.name}`}
              cells={[
                length(result.driveLine.before?.shafts[index]?.length),
                length(now),
                `${degrees(front.angle)} and ${degrees(rear.angle)}`,
              ]}
            />
          ))}
        </CaptionedTable>
      )}
      <CaptionedTable caption="Axles" columns={['Axle', 'donor', 'built']}>
        {result.axles.map(({ item, donor: was, built, reason }) => (
          <Row key={item.id} head={item.name} cells={[onDonor(was.x), built ? onBuilt(built.x) : reason]} />
        ))}
      </CaptionedTable>
      <CaptionedTable caption="Crossmembers" columns={['Crossmember', 'donor', 'built', 'what becomes of it']}>
        {result.crossmembers.map(({ crossmember, donor: was, built, reason }) => (
          <Row
            key={crossmember.id}
            head={crossmember.name}
            chosen={selected === crossmember.id}
            onPick={() => onSelect(crossmember.id)}
            cells={[onDonor(was?.x), onBuilt(built?.x), reason]}
          />
        ))}
      </CaptionedTable>
      {result.members.length > 0 && (
        <CaptionedTable caption="Members" columns={['Member', 'length', 'built', 'what becomes of it']}>
          {result.members.flatMap(({ member, status, copies }) =>
            copies.map((copy) => (
              <Row
                key={copy.rail}
                head={copies.length > 1 ? `${member.name}, ${copy.side}` : member.name}
                chosen={selected === member.id}
                onPick={() => onSelect(member.id)}
                cells={[length(copy.lengthBefore), length(copy.lengthAfter), status.replaceAll('-', ' ')]}
              />
            )),
          )}
        </CaptionedTable>
      )}
      {result.braces.length > 0 && (
        <CaptionedTable caption="Braces" columns={['Brace', 'length', 'built', 'what becomes of it']}>
          {result.braces.map(({ brace, donor: was, built, reason }) => (
            <Row
              key={brace.id}
              head={brace.name}
              chosen={selected === brace.id}
              onPick={() => onSelect(brace.id)}
              cells={[length(was.length), length(built?.length), reason]}
            />
          ))}
        </CaptionedTable>
      )}
      {result.units.length > 0 && (
        <CaptionedTable caption="Units" columns={['Unit', 'stays with', 'mounts that left it']}>
          {result.units.map(({ unit, staysWith, mounts }) => (
            <Row
              key={unit.id}
              head={unit.name}
              cells={[
                mounts.find(({ ref }) => ref.id === staysWith?.id)?.name ?? '–',
                mounts
                  .filter(({ off }) => off && Math.hypot(off.x, off.z) > 1)
                  .map(({ name }) => name)
                  .join(', ') || 'none',
              ]}
            />
          ))}
        </CaptionedTable>
      )}
      <CaptionedTable caption="Features" columns={['Feature', 'donor', 'built', 'what becomes of it']}>
        {result.features.map(({ feature, places, reason }) => {
          const at = places.left ?? places.right;
          return (
            <Row
              key={feature.id}
              head={feature.name}
              chosen={selected === feature.id}
              onPick={() => onSelect(feature.id)}
              cells={[onDonor(at?.donor?.x), onBuilt(at?.built?.x), reason]}
            />
          );
        })}
      </CaptionedTable>
      <CaptionedTable
        caption={`Widths and heights of the built frame${apart ? ', left | right' : ', both rails alike'}`}
        columns={[
          'From the datum hole',
          'donor',
          'outside width',
          'inside width',
          'half-width',
          'rail top',
          'rail bottom',
        ]}
      >
        {profile.map((row) => {
          const both = (left: number, right: number) =>
            apart ? (
              <>
                {length(left)} | {length(right)}
              </>
            ) : (
              length(left)
            );
          return (
            <Row
              key={`${row.piece}/${row.builtX}`}
              head={onBuilt(row.builtX)}
              cells={[
                row.donorX === null ? 'new' : onDonor(row.donorX),
                length(row.outsideWidth),
                length(row.insideWidth),
                both(row.left.halfWidth, row.right.halfWidth),
                both(row.left.top, row.right.top),
                both(row.left.bottom, row.right.bottom),
              ]}
            />
          );
        })}
      </CaptionedTable>
      <p className="text-pencil">
        Stations count from the datum hole, heights from the datum plane. Ramps are tangent to the tires. Mass is that
        of rails, crossmembers, brackets and the weights entered; the body is counted where it says so, its front wheel
        opening on the front axle. Planning figures, not an approval: weigh the truck axle by axle.
      </p>
    </div>
  );
}

function CaptionedTable({
  caption,
  columns,
  empty,
  children,
}: {
  readonly caption: string;
  readonly columns: readonly string[];
  readonly empty?: string;
  readonly children: readonly ReactNode[];
}) {
  return (
    <table className="w-full border-collapse">
      <caption className="heading pb-0.5 text-left text-lg">{caption}</caption>
      <thead>
        <tr className="border-b border-graphite text-pencil">
          {columns.map((column, index) => (
            <th key={column} scope="col" className={`font-normal ${index === 0 ? 'pr-2 text-left' : 'figures'}`}>
              {column}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {children.length > 0 ? (
          children
        ) : (
          <tr>
            <td colSpan={columns.length} className="py-1 text-pencil">
              {empty}
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

function Row({
  head,
  cells,
  chosen = false,
  onPick,
}: {
  readonly head: ReactNode;
  readonly cells: readonly ReactNode[];
  readonly chosen?: boolean;
  readonly onPick?: () => void;
}) {
  return (
    <tr className={`border-b border-rule/70 ${chosen ? 'bg-layout-wash' : ''}`}>
      <th scope="row" className="py-0.5 pr-2 text-left font-normal">
        {onPick ? (
          <button type="button" className="text-left hover:underline" onClick={onPick}>
            {head}
          </button>
        ) : (
          head
        )}
      </th>
      {cells.map((cell, index) => (
        <td key={index} className="figures">
          {cell}
        </td>
      ))}
    </tr>
  );
}
