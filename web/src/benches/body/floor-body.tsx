import { type Body, bodyGuide } from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { selectedBody } from '../../client/selected-body.ts';
import { FoldOuts } from '../../ui/fold-outs.tsx';
import type { Drawer } from '../../client/bench.ts';
import { SurveyWalk } from '../../ui/survey-walk.tsx';
import { BodyPanel } from './body-panel.tsx';
import { BODY_LISTS, type BodyList, bodyStops, oneMoreOf } from './body-stops.ts';
import { putBody } from '../../ui/put-body.ts';

interface BodyFloorProps {
  readonly bench: BenchProps;
  readonly slides: readonly (readonly [id: string, drawer: Drawer])[];
}

/** The bodies on a phone: walked along one thing at a time with the keypad; its guide and tables fold out under it. */
export function BodyFloor({ bench, slides }: BodyFloorProps) {
  const { job, canWrite } = bench;
  const body = selectedBody(job.bodies, bench.selected);
  const [list, setList] = useState<BodyList>('openings');
  if (!body)
    return (
      <div className="relative p-3">
        <h2 className="sr-only">Body</h2>
        <BodyPanel {...bench} />
      </div>
    );
  const next = bodyGuide(body, job.display).find(({ state }) => state !== 'there');
  return (
    <SurveyWalk<Body, BodyList>
      key={body.id}
      display={job.display}
      canWrite={canWrite}
      lists={BODY_LISTS}
      list={list}
      onList={setList}
      stopsOf={(doc) => bodyStops(doc ?? body, list)}
      withOneMore={(index) => oneMoreOf(body, list, index)}
      put={(label, doc) => {
        const wrong = putBody(bench, label, doc, '');
        return wrong.elsewhere || (wrong.cells[0]?.message ?? '');
      }}
      onLook={() => undefined}
    >
      {() => (
        <>
          {next && (
            <p className="border-l-4 border-layout bg-layout-wash px-3 py-2 text-sm">
              <b>Still to measure:</b> {next.what}. {next.where}. Needed for: {next.answers}.
            </p>
          )}
          <details className="border border-graphite">
            <summary className="heading flex min-h-12 cursor-pointer items-center bg-bench px-3 text-lg">
              {body.name}: guide, name, sizes
            </summary>
            <div className="p-2">
              <BodyPanel {...bench} />
            </div>
          </details>
          <FoldOuts bench={bench} slides={slides} />
        </>
      )}
    </SurveyWalk>
  );
}
