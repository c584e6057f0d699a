import {
  datumStation,
  type FrameLine,
  type FramePoint,
  type FrameRoom,
  inches,
  POINT_KINDS,
  ROOM_KINDS,
} from '@splay/core';
import { EditTable } from '../../ui/edit-table.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import {
  choiceColumn,
  type Column,
  lengthColumn,
  massColumn,
  numberColumn,
  originColumn,
  textColumn,
  words,
} from '../../ui/table-columns.ts';
import { axleChoices, carrierChoices, carrierColumn } from './carrier-choices.ts';
import type { PartProps } from './donor-part.tsx';
import { freshId } from '../../client/fresh-id.ts';
import { markMeasured } from './mark-measured.ts';

const DEGREES = { factor: 180 / Math.PI, optional: true } as const;

/** What runs along the frame, and what rides on it without touching the rail: drive line, cab back, weights. */
export function LineTables({ job, setRows, disabled, selected, onSelect }: PartProps) {
  const { lines, points } = job.donor;
  const datum = datumStation(job.donor);
  const lineColumns: Column<FrameLine>[] = [
    textColumn('name', 'Name', '25%'),
    choiceColumn('kind', 'Kind', '16%', words(['brake', 'fuel', 'harness', 'cable', 'exhaust'])),
    choiceColumn('side', 'Side', '11%', words(['left', 'right'])),
    lengthColumn('from', 'From', '12%', datum),
    lengthColumn('to', 'To', '12%', datum),
    lengthColumn('slack', 'Slack', '11%'),
    originColumn('13%'),
  ];
  const pointColumns: Column<FramePoint>[] = [
    textColumn('name', 'Name', '17%'),
    choiceColumn('kind', 'Kind', '14%', words(POINT_KINDS)),
    lengthColumn('x', 'From datum', '9%', datum),
    lengthColumn('y', 'To the right', '8%'),
    lengthColumn('z', 'Height', '8%'),
    numberColumn('pitch', 'Rise', '6%', DEGREES),
    numberColumn('yaw', 'Turn', '6%', DEGREES),
    massColumn('mass', 'Mass', '8%', job.display),
    carrierColumn('16%', 'as usual', [...carrierChoices(job.donor), ...axleChoices(job.donor)]),
    originColumn('11%'),
  ];
  const roomColumns: Column<FrameRoom>[] = [
    textColumn('name', 'Name', '17%'),
    choiceColumn('kind', 'Kind', '12%', words(ROOM_KINDS)),
    lengthColumn('front', 'Front', '10%', datum),
    lengthColumn('rear', 'Rear', '10%', datum),
    lengthColumn('left', 'Left (−)', '10%'),
    lengthColumn('right', 'Right', '10%'),
    lengthColumn('low', 'Low', '10%'),
    lengthColumn('high', 'High', '10%'),
    originColumn('11%'),
  ];
  return (
    <>
      <p className="mb-2 text-sm text-pencil">
        Lines, hoses, cables and pipes from end to end, with what they can give before they pull: the plan says which
        get too short or too long.
      </p>
      <EditTable<FrameLine>
        caption="Lines"
        columns={lineColumns}
        rows={lines}
        format={job.display}
        disabled={disabled}
        addLabel="Add a line"
        selectedRow={lines.findIndex(({ id }) => id === selected)}
        onSelectRow={(row) => onSelect(lines[row]?.id ?? null)}
        newRow={(_, count) => ({
          id: freshId('line'),
          name: `Line ${count + 1}`,
          kind: 'brake',
          side: 'left',
          from: datum,
          to: datum + inches(48),
          slack: 0,
        })}
        onChange={(rows) =>
          setRows('Edited lines', 'lines', (frame) => ({
            ...frame,
            lines: markMeasured(rows, frame.lines, ['from', 'to', 'slack']),
          }))
        }
      />
      <PanelHeading>Drive line, back of cab, weights</PanelHeading>
      <p className="mb-2 text-sm text-pencil">
        Heights from the datum plane. At a flange or pinion say in degrees where the shaft points: rising to the rear,
        turning to the right. Weights give the balance and the axle loads. As usual, the cab’s back rides on the cab, a
        flange on the power unit, a pinion on its axle, and the rest on the rail at its station.
      </p>
      <EditTable<FramePoint>
        caption="Drive line, back of cab and weights"
        columns={pointColumns}
        rows={points}
        format={job.display}
        disabled={disabled}
        addLabel="Add a point"
        selectedRow={points.findIndex(({ id }) => id === selected)}
        onSelectRow={(row) => onSelect(points[row]?.id ?? null)}
        newRow={(_, count) => ({
          id: freshId('point'),
          name: `Point ${count + 1}`,
          kind: 'mass',
          x: datum,
          y: 0,
          z: 0,
          mass: 0,
        })}
        onChange={(rows) =>
          setRows('Edited points', 'points', (frame) => ({
            ...frame,
            points: markMeasured(rows, frame.points, ['x', 'y', 'z']),
          }))
        }
      />
      <PanelHeading>What takes up room</PanelHeading>
      <p className="mb-2 text-sm text-pencil">
        A box round the tank, its filler, the battery, whatever a body must clear: stations from the datum, left of the
        middle below 0, heights over the datum plane. It goes with the steel under its middle.
      </p>
      <EditTable<FrameRoom>
        caption="What takes up room"
        columns={roomColumns}
        rows={job.donor.rooms}
        format={job.display}
        disabled={disabled}
        addLabel="Add a box"
        selectedRow={job.donor.rooms.findIndex(({ id }) => id === selected)}
        onSelectRow={(row) => onSelect(job.donor.rooms[row]?.id ?? null)}
        newRow={(after, count) => ({
          id: freshId('room'),
          name: count === 0 ? 'Fuel tank' : `Box ${count + 1}`,
          kind: count === 0 ? 'tank' : 'other',
          front: (after?.rear ?? inches(60)) + inches(2),
          rear: (after?.rear ?? inches(60)) + inches(22),
          left: inches(-14),
          right: inches(-2),
          low: inches(-12),
          high: inches(-1),
        })}
        onChange={(rows) =>
          setRows('Edited what takes up room', 'rooms', (frame) => ({
            ...frame,
            rooms: markMeasured(rows, frame.rooms, ['front', 'rear', 'left', 'right', 'low', 'high']),
          }))
        }
      />
    </>
  );
}
