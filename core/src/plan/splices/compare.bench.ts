import { Bench } from 'tinybench';
import { inputOf, plainFrame } from '../../../test/frames.ts';
import { contextOf } from '../context.ts';
import { compareForms, PLAIN_BUTT } from './index.ts';

const frame = plainFrame({
  sections: [{ id: 'rail', section: { kind: 'channel', depth: 180, flange: 65, thickness: 5 } }],
});
const { rules, display } = inputOf(frame);
const steel = { section: frame.sections[0]!.section, material: frame.material };

/** All forms of one joint side by side. */
export default new Bench({ time: 1500, warmupTime: 300 }).add('compare all forms of a joint (goal 50 ms)', () => {
  compareForms(
    { ...PLAIN_BUTT },
    {
      steel,
      rules,
      display,
      material: frame.material,
      context: contextOf(inputOf(frame)),
      aheadOfHanger: true,
    },
  );
});
