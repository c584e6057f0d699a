import {
  evaluatePlan,
  inches,
  type PlanResult,
  sectionLookup,
  shiftOperation,
  type Vec3,
  withOperation,
} from '@splay/core';
import { expect, it, vi } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { render } from '../../test/page.ts';
import { crossmembersOf } from './crossmember-marks.tsx';
import { FeatureLayer } from './feature-layer.tsx';
import { Ground, wheelsOf } from './ground.tsx';
import { planStrip, sideStrip } from './strips.ts';
import { fitView, reachOf } from './view.ts';

/** Every symbol that is drawn, also where it comes out as it was. */
const { drawn } = vi.hoisted(() => ({ drawn: vi.fn() }));
vi.mock('./feature-symbol.tsx', async (original) => {
  const { FeatureSymbol } = await original<typeof import('./feature-symbol.tsx')>();
  return {
    FeatureSymbol: (props: Parameters<typeof FeatureSymbol>[0]) => {
      drawn(props.name);
      return FeatureSymbol(props);
    },
  };
});

const { job } = demoJob('parcel-van');
const section = sectionLookup(job.donor);
const stretch = job.plan.operations.find(({ kind }) => kind === 'lengthen')!;
/** The flagship with its stretch moved by mm. */
const moved = (mm: number) => evaluatePlan({ ...job, plan: withOperation(job.plan, shiftOperation(stretch, mm)) });

const view = fitView(1000, reachOf(moved(0)));
const strips = {
  side: sideStrip(0, 160, view, moved(0), section),
  plan: planStrip(220, 140, view, moved(0), section),
};
const onSelect = vi.fn();

/** What hangs on the frame and what lies under it, as the board draws them. */
function Drawing({ shown }: { readonly shown: PlanResult }) {
  const datum = shown.datum.built;
  return (
    <svg>
      <Ground
        view={view}
        {...strips}
        datum={datum}
        format={job.display}
        wheels={wheelsOf(shown)}
        wheelbase={shown.measures.after.wheelbase}
        crossmembers={crossmembersOf(shown, section, () => false)}
        onSelect={onSelect}
      />
      <FeatureLayer
        shown={shown}
        view={view}
        side={strips.side.across}
        plan={strips.plan.across}
        datum={datum}
        format={job.display}
        selected={null}
        pointed={null}
        onSelect={onSelect}
      />
    </svg>
  );
}

/** How many symbols are drawn, and what of the drawing is changed, between one plan and another. */
function changed(from: PlanResult, to: PlanResult) {
  const { container, rerender, unmount } = render(<Drawing shown={from} />);
  drawn.mockClear();
  const seen = new MutationObserver(() => undefined);
  seen.observe(container, { subtree: true, attributes: true, characterData: true, childList: true });
  rerender(<Drawing shown={to} />);
  const touched = seen
    .takeRecords()
    .flatMap(({ type, target, addedNodes, removedNodes }) =>
      type === 'childList' ? [...addedNodes, ...removedNodes] : [target],
    );
  const names = touched.map((node) => {
    const element = node instanceof Element ? node : node.parentElement;
    return element?.closest('[data-pick]')?.getAttribute('data-name') ?? element?.tagName ?? '';
  });
  seen.disconnect();
  unmount();
  return { names: [...new Set(names)], symbols: drawn.mock.calls.length };
}

it('a cut that is dragged over plain rail leaves all that hangs on it as it is drawn', () => {
  expect(changed(moved(0), moved(inches(1 / 16)))).toEqual({ names: [], symbols: 0 });
});

it('what arithmetic leaves over draws nothing again', () => {
  const one = moved(0);
  const hair = (at: Vec3 | null) => at && { ...at, x: at.x + 1e-10 };
  const other = {
    ...one,
    datum: { ...one.datum, built: one.datum.built - 1e-10 },
    features: one.features.map((outcome) => ({
      ...outcome,
      places: Object.fromEntries(
        Object.entries(outcome.places).map(([side, place]) => [side, { ...place, built: hair(place.built) }]),
      ),
    })),
  };
  expect(changed(one, other)).toEqual({ names: [], symbols: 0 });
});

it('a hole that the cut goes through or passes is drawn where it is then, and nothing else is', () => {
  const { names, symbols } = changed(moved(0), moved(90));
  expect(names.length).toBeGreaterThan(0);
  expect(symbols).toBeLessThan(8);
  for (const name of names) expect(name).toMatch(/^Hole \d/);
});
