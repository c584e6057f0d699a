import * as yup from 'yup';
import { JOB_LIMIT, readJson } from '../../../server/http/body.ts';
import { endpoint, isUuid } from '../../../server/http/endpoint.ts';
import { line } from '../../../server/http/line-field.ts';
import { json, notAllowed } from '../../../server/http/problem.ts';
import { ruleSetName, why } from '../../../server/http/rule-fields.ts';
import { mustManage } from '../../../server/services/errors.ts';
import { importRuleSet } from '../../../server/services/rule-sets.ts';

const version = yup
  .object({
    version: yup.number().strict().integer().min(1).required(),
    rules: yup.mixed().required(),
    by: line(120).required(),
    at: yup
      .string()
      .strict()
      .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/, 'is no moment of time')
      .required(),
    why: why(),
  })
  .noUnknown();

const sent = yup
  .object({
    id: yup
      .string()
      .strict()
      .required()
      .test('uuid', 'is no id of a rule set', (id) => isUuid(id)),
    name: ruleSetName(),
    versions: yup.array(version).strict().min(1).required(),
  })
  .noUnknown();

/** Takes a rule set out of an archive back, with all its versions. */
export const POST = endpoint(async ({ member, request }) => {
  mustManage(member);
  return json(await importRuleSet(member, await readJson(request, sent, JOB_LIMIT)), 201);
});

export const ALL = notAllowed('POST');
