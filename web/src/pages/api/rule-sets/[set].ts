import * as yup from 'yup';
import { readJson, SMALL_LIMIT } from '../../../server/http/body.ts';
import { endpoint, uuidOf } from '../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../server/http/problem.ts';
import { why } from '../../../server/http/rule-fields.ts';
import { mustWrite } from '../../../server/services/errors.ts';
import { addRuleVersion } from '../../../server/services/rule-sets.ts';

const sent = yup
  .object({
    basedOn: yup.number().strict().integer().min(1).required(),
    rules: yup.mixed().required(),
    why: why(),
  })
  .noUnknown();

/** Adds a version to a rule set of the shop. */
export const POST = endpoint(async ({ member, param, request }) => {
  mustWrite(member);
  const { basedOn, ...version } = await readJson(request, sent, SMALL_LIMIT);
  return json(await addRuleVersion(member, uuidOf(param('set')), basedOn, version), 201);
});

export const ALL = notAllowed('POST');
