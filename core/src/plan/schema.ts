import { angle, type Field, id, length, list, name, optional, record, text } from '../fields/index.ts';
import { fittingSchema, splicePlanSchema } from '../splice/index.ts';
import { mountingSchema } from '../mounting/index.ts';
import { shoringSchema } from '../shoring/index.ts';
import type { BodySeat } from './match/index.ts';
import type { Acceptance, FrozenLetter, Plan } from './operation.ts';
import { operationSchema } from './operations/index.ts';
import { weldingSchema } from './welds/welding.ts';

/** The shape of a plan. */
export const planSchema = (): Field<Plan> =>
  record<Plan>(
    {
      name: name(),
      note: text(2000),
      accepted: list(record<Acceptance>({ conflict: text(400), reason: name(500), by: name() }), 200),
      stays: list(record<Plan['stays'][number]>({ unit: id(), mount: id() }), 100),
      operations: list(operationSchema(), 200),
      seats: list(record<BodySeat>({ body: id(), x: length(), z: length(), rake: angle() }), 20),
      splices: list(splicePlanSchema(), 400),
      fittings: list(fittingSchema(), 100),
      mountings: list(mountingSchema(), 400),
      shoring: shoringSchema(),
      letters: optional(list(record<FrozenLetter>({ id: name(200), letter: name(4) }), 800)),
      welding: optional(weldingSchema()),
    },
    'plan',
  );
