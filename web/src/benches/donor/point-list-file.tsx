import { change, type JobStore } from '../../client/job-store.ts';
import { freshId } from '../../client/fresh-id.ts';
import { CsvFile } from '../../ui/csv-file.tsx';

/** Points that were measured elsewhere, taken into the donor as one step of undo. */
export function PointListFile({ store, disabled }: { readonly store: JobStore; readonly disabled: boolean }) {
  return (
    <>
      <CsvFile
        name="a point list"
        load="Load a point list, CSV or DXF"
        accept=".csv,.dxf,text/csv,text/plain"
        disabled={disabled}
        onText={async (text, file) => {
          const { pointsOfCsv, pointsOfDxf, withPoints } = await import('./point-lists.ts');
          const points = /\.dxf$/i.test(file) ? pointsOfDxf(text) : pointsOfCsv(text);
          const next = withPoints(store.getState().job, points, freshId);
          change(store, 'Loaded a point list', () => next);
          const counted = (kind: string, name: string) => {
            const count = points.filter((point) => point.kind === kind).length;
            return `${count} ${name}${count === 1 ? '' : 's'}`;
          };
          const brought = `${counted('station', 'station')}, ${counted('hole', 'hole')} and ${counted('point', 'control point')}`;
          return `${file}: ${brought}. Undo takes them back.`;
        }}
      />
      <p className="mt-1 text-sm text-pencil">
        x from the datum hole to the rear, y from the center line with left below 0, z over the datum plane. CSV: name,
        what (station, hole or point), x [in], y [in], z [in], diameter [in], or the same in mm. DXF: circles are holes,
        points on a layer named station are stations, other points control points.
      </p>
    </>
  );
}
