import { type Field, id, list, name, record, text } from '../fields/index.ts';
import { fittingSchema, splicePlanSchema } from '../splice/index.ts';
import type { Acceptance, Plan } from './operation.ts';
import { operationSchema } from './operations/index.ts';

/** The shape of a plan. */
export const planSchema = (): Field<Plan> =>
  record<Plan>(
    {
      name: name(),
      note: text(2000),
      accepted: list(record<Acceptance>({ conflict: text(400), reason: name(500), by: name() }), 200),
      stays: list(record<Plan['stays'][number]>({ unit: id(), mount: id() }), 100),
      operations: list(operationSchema(), 200),
      splices: list(splicePlanSchema(), 400),
      fittings: list(fittingSchema(), 100),
    },
    'plan',
  );
