import type { InputProblem } from '../input-error.ts';
import { copiesOf, railIdOf } from '../frame/index.ts';
import { aboutOf, operationName, operationOfJoint, type Plan } from '../plan/index.ts';
import type { Job } from './job.ts';

/** Something with an id, and its place in the document. */
interface Named {
  readonly path: string;
  readonly id: string;
}

const listed = (path: string, list: readonly { readonly id: string }[]): Named[] =>
  list.map(({ id }, index) => ({ path: `${path}[${index}].id`, id }));

/** Everything of the job that is not part of a plan. */
function namedOutsidePlans({ donor, bodies, rack }: Job, path: string): Named[] {
  const lists = [
    'features',
    'crossmembers',
    'units',
    'members',
    'braces',
    'axles',
    'points',
    'lines',
    'rooms',
    'controlPoints',
    'controlMeasurements',
  ] as const;
  return [
    ...lists.flatMap((list) => listed(`${path}donor.${list}`, donor[list])),
    ...listed(`${path}rack`, rack),
    ...listed(`${path}bodies`, bodies),
    ...bodies.flatMap((body, index) =>
      (['openings', 'mounts', 'boxes', 'masses', 'fenders', 'points', 'changes'] as const).flatMap((list) =>
        listed(`${path}bodies[${index}].${list}`, body[list]),
      ),
    ),
  ];
}

const namedInPlan = ({ operations, fittings, shoring }: Plan, path: string): Named[] => [
  ...listed(`${path}.shoring.shores`, shoring.shores),
  ...listed(`${path}.operations`, operations),
  ...listed(`${path}.fittings`, fittings),
  ...operations.flatMap((operation, index): Named[] => {
    const { brings } = aboutOf(operation);
    return brings ? [{ path: `${path}.operations[${index}].change.${brings.kind}.id`, id: brings.id }] : [];
  }),
];

/** Each plan of a job with its place in the document. */
const plansIn = ({ plan, variants }: Job, path: string): (readonly [Plan, string])[] => [
  [plan, `${path}plan`],
  ...variants.map((variant, index) => [variant, `${path}variants[${index}]`] as const),
];

/**
 * Section ids stand for themselves; every other id is unique in the job, so that an id alone says what is meant.
 *
 * @param job The job; validated.
 * @param path Where that is in the document: problems are named from there.
 */
export function idProblems(job: Job, path: string): InputProblem[] {
  const twice = (named: readonly Named[], taken: Set<string>) =>
    named.flatMap(({ path: at, id }): InputProblem[] => {
      if (!taken.has(id)) {
        taken.add(id);
        return [];
      }
      return [{ code: 'job/same-id', path: at, message: `“${id}” is used twice: give this one another id.` }];
    });
  const outside = new Set<string>();
  return [
    ...twice(listed(`${path}donor.sections`, job.donor.sections), new Set()),
    ...twice(namedOutsidePlans(job, path), outside),
    // Plans are copied from each other: the same operation may stand in several.
    ...plansIn(job, path).flatMap(([plan, at]) => twice(namedInPlan(plan, at), new Set(outside))),
  ];
}

/**
 * Operations and acceptances that name what is not there.
 *
 * @param job The job; validated.
 * @param path Where that is in the document: problems are named from there.
 */
export function referenceProblems(job: Job, path: string): InputProblem[] {
  const outside = new Set(namedOutsidePlans(job, path).map(({ id }) => id));
  return plansIn(job, path).flatMap(([plan, at]) => {
    const known = new Set([...outside, ...namedInPlan(plan, at).map(({ id }) => id)]);
    const operations = plan.operations.flatMap((operation, index): InputProblem[] => {
      const { names } = aboutOf(operation);
      if (!names || known.has(names.id)) return [];
      return [
        {
          code: 'plan/unknown-thing',
          path: `${at}.operations[${index}].change.${names.kind}`,
          message: `“${operationName(operation)}” of the plan “${plan.name}” is about “${names.id}”, which is not on the frame: take that operation off the list first.`,
        },
      ];
    });
    const accepted = plan.accepted.flatMap(({ conflict }, index): InputProblem[] => {
      const [, about] = conflict.split('/');
      if (about === undefined || known.has(about)) return [];
      return [
        {
          code: 'plan/unknown-conflict',
          path: `${at}.accepted[${index}].conflict`,
          message: `“${conflict}” was accepted, but there is no “${about}” in the plan or on the frame.`,
        },
      ];
    });
    const bodies = new Set(job.bodies.map(({ id }) => id));
    const seats = plan.seats.flatMap(({ body }, index): InputProblem[] =>
      bodies.has(body) && plan.seats.findIndex((other) => other.body === body) === index
        ? []
        : [
            {
              code: 'plan/seat',
              path: `${at}.seats[${index}].body`,
              message: `“${body}” is not a body of the job, or is put in two places: leave one place of a body that is there.`,
            },
          ],
    );
    const mounts = new Set(job.bodies.flatMap((body) => body.mounts.map((mount) => `${body.id} ${mount.id}`)));
    const mountings = plan.mountings.flatMap(({ body, mount }, index): InputProblem[] =>
      mounts.has(`${body} ${mount}`) && plan.mountings.findIndex((other) => other.mount === mount) === index
        ? []
        : [
            {
              code: 'plan/mounting',
              path: `${at}.mountings[${index}].mount`,
              message: `“${mount}” is not a mount of the body “${body}”, or it is defined twice: keep one.`,
            },
          ],
    );
    return [...operations, ...accepted, ...seats, ...mountings, ...spliceProblems(plan, job, at)];
  });
}

/** What is decided of joints that cannot be: of operations or members that are not there, twice, or without a reason. */
function spliceProblems({ splices, fittings, operations, name }: Plan, { donor }: Job, path: string): InputProblem[] {
  const made = new Set(operations.map(({ id }) => id));
  const members = new Set<string>(
    donor.members.flatMap((member) => copiesOf(member).map((side) => railIdOf(member.id, side))),
  );
  const lost = fittings.flatMap(({ on, kind }, index): InputProblem[] =>
    made.has(kind === 'gusset' ? operationOfJoint(on) : on)
      ? []
      : [
          {
            code: 'plan/fitting',
            path: `${path}.fittings[${index}].on`,
            message: `“${on}” is not a joint or a cut end of the plan “${name}”: take that part off first.`,
          },
        ],
  );
  const joints = splices.flatMap(({ joint, others }, index): InputProblem[] => {
    const at = `${path}.splices[${index}]`;
    const problem = (where: string, message: string): InputProblem[] => [
      { code: 'plan/splice', path: `${at}.${where}`, message },
    ];
    return [
      ...(made.has(operationOfJoint(joint))
        ? []
        : problem('joint', `“${joint}” is a joint of an operation that the plan “${name}” does not have.`)),
      ...(splices.findIndex((other) => other.joint === joint) === index
        ? []
        : problem('joint', `Joint “${joint}” is defined twice: keep one.`)),
      ...others.flatMap(({ rail, reason }, other) => [
        ...(rail === 'left' || rail === 'right' || members.has(rail)
          ? []
          : problem(`others[${other}].rail`, `There is no “${rail}” on the frame: remove it from the joint.`)),
        ...((rail === 'left' || rail === 'right') && reason.trim() === ''
          ? problem(`others[${other}].reason`, 'Left and right are made alike unless there is a reason: write it.')
          : []),
      ]),
    ];
  });
  return [...lost, ...joints];
}

/**
 * The job without acceptances of conflicts about what is not there any more.
 *
 * @param job The job; validated.
 */
export function withoutDeadAcceptances(job: Job): Job {
  const outside = new Set(namedOutsidePlans(job, '').map(({ id }) => id));
  const kept = (plan: Plan): Plan => {
    const known = new Set([...outside, ...namedInPlan(plan, '').map(({ id }) => id)]);
    const accepted = plan.accepted.filter(({ conflict }) => {
      const [, about] = conflict.split('/');
      return about === undefined || known.has(about);
    });
    return accepted.length === plan.accepted.length ? plan : { ...plan, accepted };
  };
  const [plan, variants] = [kept(job.plan), job.variants.map(kept)];
  const same = plan === job.plan && variants.every((variant, index) => variant === job.variants[index]);
  return same ? job : { ...job, plan, variants };
}
