import { bodySchema } from '../body/index.ts';
import { type Field, id, length, list, name, number, oneOf, optional, record } from '../fields/index.ts';
import { type Frame, frameSchema } from '../frame/index.ts';
import { type Plan, planSchema, type RackTube } from '../plan/index.ts';
import { attachmentSchema, recordSchema } from '../records/index.ts';
import { PROFILES, type ProfileId, type Rulebook, type RuleId, RULES, type RuleSetRef } from '../rules/index.ts';
import type { LengthFormat } from '../units/index.ts';
import { JOB_FORMAT, JOB_VERSION, type Job, type JobFile } from './job.ts';
import { MOST_VARIANTS } from './variants.ts';

const changes = () =>
  record<Rulebook['changes']>(
    Object.fromEntries(Object.keys(RULES).map((rule) => [rule, optional(number())])) as unknown as {
      readonly [R in RuleId]-?: Field<number | undefined>;
    },
  );

const rulesFields = () => ({ profile: oneOf(Object.keys(PROFILES) as ProfileId[]), changes: changes() });

/** The shape of the rules of a rule set. */
export const rulesSchema: Field<Pick<Rulebook, 'profile' | 'changes'>> =
  record<Pick<Rulebook, 'profile' | 'changes'>>(rulesFields());

/** The shape of a job document. */
export const jobSchema: Field<Job> = record<Job>({
  name: name(),
  donor: frameSchema() satisfies Field<Frame>,
  bodies: list(bodySchema(), 20),
  plan: planSchema() satisfies Field<Plan>,
  variants: list(planSchema(), MOST_VARIANTS),
  rules: record<Rulebook>({
    ...rulesFields(),
    from: optional(record<RuleSetRef>({ set: id(), name: name(), version: number() })),
  }),
  display: record<LengthFormat>({ unit: oneOf(['in', 'mm']), division: oneOf([8, 16, 32, 64, 'decimal']) }),
  rack: list(
    record<RackTube>({
      id: id(),
      name: name(),
      height: length(),
      width: length(),
      wall: length(),
      inner: optional(length()),
      cornerRadius: length(),
      length: length(),
    }),
    200,
  ),
  done: list(id(), 50),
});

/** The shape of a job file. */
export const jobFileSchema: Field<JobFile> = record<JobFile>({
  format: oneOf([JOB_FORMAT]),
  version: oneOf([JOB_VERSION]),
  job: jobSchema,
  records: list(recordSchema(), 50_000),
  attachments: list(attachmentSchema(), 500),
});
