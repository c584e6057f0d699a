import * as yup from 'yup';
import { readJson, SMALL_LIMIT } from '../../../server/http/body.ts';
import { endpoint } from '../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../server/http/problem.ts';
import { why, ruleSetName } from '../../../server/http/rule-fields.ts';
import { mustWrite } from '../../../server/services/errors.ts';
import { keepRuleSet, listRuleSets } from '../../../server/services/rule-sets.ts';

const sent = yup.object({ name: ruleSetName(), rules: yup.mixed().required(), why: why() }).noUnknown();

export const GET = endpoint(async ({ member }) => json(await listRuleSets(member)));

/** Keeps rules as a new set of the shop. */
export const POST = endpoint(async ({ member, request }) => {
  mustWrite(member);
  const { name, ...version } = await readJson(request, sent, SMALL_LIMIT);
  return json(await keepRuleSet(member, name, version), 201);
});

export const ALL = notAllowed('GET, POST');
