import type { Frame } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { goToBench } from '../../client/go-to-bench.ts';
import { CrossmemberDetail } from './crossmember-detail.tsx';
import { DonorPart, type PartProps } from './donor-part.tsx';
import { type DonorTab, TABS } from './donor-tabs.ts';
import { FeatureDetail } from './feature-detail.tsx';
import { Guide } from './guide.tsx';
import { stationOf } from './station-ids.ts';
import { StationDetail } from './station-detail.tsx';

/** The part of the donor that something picked on the drawing is in. */
function partOf(id: string, donor: Frame): DonorTab | null {
  const has = (list: readonly { readonly id: string }[]) => list.some((item) => item.id === id);
  if (stationOf(id, donor)) return 'stations';
  if (has(donor.features)) return 'features';
  if (has(donor.crossmembers) || has(donor.members) || has(donor.braces)) return 'crossmembers';
  if (has(donor.controlPoints)) return 'controls';
  return has(donor.lines) || has(donor.points) ? 'lines' : null;
}

/** What to measure next; or what is picked, with all of its figures. */
export function DonorPanel(props: BenchProps) {
  const { store, job, canWrite, selected, onSelect } = props;
  const open = (drawer: DonorTab) => store.setState({ drawer });
  const part = selected === null ? null : partOf(selected, job.donor);
  if (selected === null || part === null)
    return (
      <Guide
        {...{ store, job, canWrite }}
        onPart={(asked) => (asked === 'body' ? goToBench(store, 'body') : open(asked))}
      />
    );
  return (
    <>
      <div className="mb-2 flex gap-2">
        <button type="button" className="button" onClick={() => onSelect(null)}>
          What next
        </button>
        <button type="button" className="button" onClick={() => open(part)}>
          Table: {TABS.find(([id]) => id === part)?.[1]}
        </button>
      </div>
      <Picked {...props} selected={selected} />
    </>
  );
}

function Picked(props: BenchProps & { readonly selected: string }) {
  const { selected, job } = props;
  const part = stationOf(selected, job.donor) ? StationDetail : PickedCard;
  // Its fields keep what is being typed as long as the same thing is picked.
  return <DonorPart {...props} key={selected} part={part} />;
}

function PickedCard(part: PartProps) {
  const { features, crossmembers } = part.job.donor;
  const place = (list: readonly { readonly id: string }[]) => list.findIndex(({ id }) => id === part.selected);
  const [feature, crossmember] = [features[place(features)], crossmembers[place(crossmembers)]];
  if (feature) return <FeatureDetail {...part} feature={feature} index={place(features)} />;
  if (crossmember) return <CrossmemberDetail {...part} member={crossmember} index={place(crossmembers)} />;
  return <p className="text-pencil">Its figures are in the table.</p>;
}
